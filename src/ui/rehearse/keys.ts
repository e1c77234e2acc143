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
  'sign',
  'paddle1',
  'paddle2',
  'paddle3',
  'paddle4',
  'upperGates',
  'lowerGates',
  'paddlesDown',
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
  sign: 'g',
  paddle1: '1',
  paddle2: '2',
  paddle3: '3',
  paddle4: '4',
  upperGates: '5',
  lowerGates: '6',
  paddlesDown: '0',
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
  passOn: 'on to the next step of the plan',
  sign: 'the signal to wind',
  paddle1: 'half up, then full, then down',
  paddle2: 'half up, then full, then down',
  paddle3: 'half up, then full, then down',
  paddle4: 'half up, then full, then down',
  upperGates: 'upper gates open, then shut',
  lowerGates: 'lower gates open, then shut',
  paddlesDown: 'all paddles down',
  run: 'go on, or pause',
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

/** What a key does on this boat, in words; null where it has nothing of the kind. */
/** The paddle a key winds, from 0; −1 for other keys. */
export const paddleOf = (action: HelmAction): number =>
  action.startsWith('paddle') && action !== 'paddlesDown' ? Number(action.slice(6)) - 1 : -1;

const AT_LOCK: ReadonlySet<HelmAction> = new Set([
  'sign',
  'upperGates',
  'lowerGates',
  'paddlesDown',
]);

/** @param paddles of the lock that is worked; none where none is */
export function actionWords(
  action: HelmAction,
  boat: Boat,
  paddles: readonly string[] = [],
): string | null {
  const words = WORDS[action];
  const paddle = paddleOf(action);
  if (paddle >= 0) return paddles[paddle] ? `${paddles[paddle]} ${words}` : null;
  if (AT_LOCK.has(action)) return paddles.length > 0 ? words : null;
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
