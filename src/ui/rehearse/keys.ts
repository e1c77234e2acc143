import type { Boat } from '@/document';

/** What keys do at the helm. A held one acts as long as it is held. */
export const HELM_ACTIONS = [
  'wheelPort',
  'wheelStarboard',
  'amidships',
  'leversUp',
  'leversDown',
  'neutral',
  'firstUp',
  'firstDown',
  'lastUp',
  'lastDown',
  'bowPort',
  'bowStarboard',
  'sternPort',
  'sternStarboard',
  'stickAhead',
  'stickAstern',
  'stickPort',
  'stickStarboard',
  'twistPort',
  'twistStarboard',
  'transit',
  'passOn',
  'run',
  'stepBack',
  'slower',
  'faster',
  'again',
] as const;
export type HelmAction = (typeof HELM_ACTIONS)[number];
export type KeyMap = Readonly<Record<HelmAction, string>>;

export const DEFAULT_KEYS: KeyMap = {
  wheelPort: 'left',
  wheelStarboard: 'right',
  amidships: 'm',
  leversUp: 'up',
  leversDown: 'down',
  neutral: 'n',
  firstUp: 'w',
  firstDown: 's',
  lastUp: 'r',
  lastDown: 'f',
  bowPort: 'q',
  bowStarboard: 'e',
  sternPort: 'z',
  sternStarboard: 'c',
  stickAhead: 'i',
  stickAstern: 'k',
  stickPort: 'j',
  stickStarboard: 'l',
  twistPort: 'u',
  twistStarboard: 'o',
  transit: 't',
  passOn: 'b',
  run: 'space',
  stepBack: 'backspace',
  slower: 'comma',
  faster: 'period',
  again: 'shift+backspace',
};

const WORDS: Readonly<Record<HelmAction, string>> = {
  wheelPort: 'wheel to port, while held',
  wheelStarboard: 'wheel to starboard, while held',
  amidships: 'wheel amidships',
  leversUp: 'all levers a notch ahead',
  leversDown: 'all levers a notch astern',
  neutral: 'all in neutral',
  firstUp: 'lever a notch ahead',
  firstDown: 'lever a notch astern',
  lastUp: 'lever a notch ahead',
  lastDown: 'lever a notch astern',
  bowPort: 'pushes to port, while held',
  bowStarboard: 'pushes to starboard, while held',
  sternPort: 'pushes to port, while held',
  sternStarboard: 'pushes to starboard, while held',
  stickAhead: 'joystick ahead, while held',
  stickAstern: 'joystick astern, while held',
  stickPort: 'joystick to port, while held',
  stickStarboard: 'joystick to starboard, while held',
  twistPort: 'joystick turns bow to port, while held',
  twistStarboard: 'joystick turns bow to starboard, while held',
  transit: 'take a transit, or the next one',
  passOn: 'on to the next beat of the score',
  run: 'go on, or stand still',
  stepBack: 'five seconds back',
  slower: 'slower',
  faster: 'faster',
  again: 'again from the start',
};

/** Which thruster is worked from the bow's keys, and which from the stern's: by where they are. */
export function thrusterAt(boat: Boat, end: 'bow' | 'stern'): number {
  return boat.thrusters.findIndex(({ x_m }) => (end === 'bow' ? x_m >= 0 : x_m < 0));
}

/** The engine at a side's own keys: the one furthest to port, and the one furthest to starboard. */
export function engineAt(boat: Boat, side: 'port' | 'starboard'): number {
  if (boat.drives.length < 2) return -1;
  const across = boat.drives.map(({ y_m }) => y_m);
  const most = side === 'port' ? Math.min(...across) : Math.max(...across);
  return across.indexOf(most);
}

/** What a key does on this boat, in words; null where she has nothing of the kind. */
export function actionWords(action: HelmAction, boat: Boat): string | null {
  const words = WORDS[action];
  if (action.startsWith('stick') || action.startsWith('twist')) return boat.joystick ? words : null;
  if (action.startsWith('first') || action.startsWith('last')) {
    const engine = engineAt(boat, action.startsWith('first') ? 'port' : 'starboard');
    return engine < 0 ? null : `${boat.drives[engine]!.name} ${words}`;
  }
  if (action.startsWith('bow') || action.startsWith('stern')) {
    const thruster = thrusterAt(boat, action.startsWith('bow') ? 'bow' : 'stern');
    return thruster < 0 ? null : `${boat.thrusters[thruster]!.name} ${words}`;
  }
  return words;
}

const KEY_WORDS: Readonly<Record<string, string>> = {
  left: '←',
  right: '→',
  up: '↑',
  down: '↓',
  space: 'space',
  backspace: '⌫',
  comma: ',',
  period: '.',
  slash: '/',
};

/** A key as it stands on the keyboard. */
export function keyWords(key: string): string {
  return key
    .split('+')
    .map((part) => KEY_WORDS[part] ?? (part.length === 1 ? part.toUpperCase() : part))
    .join(' ');
}
