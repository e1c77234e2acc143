import type { Boat } from '@/document';
import { actionWords, HELM_ACTIONS, keyWords, type HelmAction, type KeyMap } from './keys';

const KEY = 50;
const STEP = 54;

/** Rows of the keyboard, each moved in by so many keys. */
const ROWS: readonly { readonly from: number; readonly keys: readonly string[] }[] = [
  { from: -0.5, keys: ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'] },
  { from: 0, keys: ['q', 'w', 'e', 'r', 't', 'y', 'u', 'i', 'o', 'p'] },
  { from: 0.3, keys: ['a', 's', 'd', 'f', 'g', 'h', 'j', 'k', 'l'] },
  { from: 0.8, keys: ['z', 'x', 'c', 'v', 'b', 'n', 'm', 'comma', 'period', 'slash'] },
];

interface Cap {
  readonly key: string;
  readonly x: number;
  readonly y: number;
  readonly wide: number;
}

const CAPS: readonly Cap[] = [
  ...ROWS.flatMap(({ from, keys }, row) =>
    keys.map((key, i): Cap => ({ key, x: (0.5 + from + i) * STEP, y: row * STEP, wide: KEY })),
  ),
  { key: 'backspace', x: 11.2 * STEP, y: 0, wide: 2 * STEP - 4 },
  { key: 'space', x: 2.8 * STEP, y: 4 * STEP, wide: 5 * STEP - 4 },
  { key: 'up', x: 12.2 * STEP, y: 3 * STEP, wide: KEY },
  { key: 'left', x: 11.2 * STEP, y: 4 * STEP, wide: KEY },
  { key: 'down', x: 12.2 * STEP, y: 4 * STEP, wide: KEY },
  { key: 'right', x: 13.2 * STEP, y: 4 * STEP, wide: KEY },
];

/** What a key does, short enough to stand on it. */
const ON_KEY: Readonly<Record<HelmAction, readonly [string, string]>> = {
  wheelPort: ['wheel', 'port'],
  wheelStarboard: ['wheel', 'stbd'],
  amidships: ['wheel', 'amid'],
  leversUp: ['levers', 'ahead'],
  leversDown: ['levers', 'astern'],
  neutral: ['all', 'neutral'],
  firstUp: ['port', 'ahead'],
  firstDown: ['port', 'astern'],
  lastUp: ['stbd', 'ahead'],
  lastDown: ['stbd', 'astern'],
  bowPort: ['bow', 'to port'],
  bowStarboard: ['bow', 'to stbd'],
  sternPort: ['stern', 'to port'],
  sternStarboard: ['stern', 'to stbd'],
  stickAhead: ['stick', 'ahead'],
  stickAstern: ['stick', 'astern'],
  stickPort: ['stick', 'port'],
  stickStarboard: ['stick', 'stbd'],
  twistPort: ['twist', 'port'],
  twistStarboard: ['twist', 'stbd'],
  transit: ['take a', 'transit'],
  passOn: ['step', 'past'],
  sign: ['signal', 'to wind'],
  paddle1: ['paddle', '1'],
  paddle2: ['paddle', '2'],
  paddle3: ['paddle', '3'],
  paddle4: ['paddle', '4'],
  upperGates: ['upper', 'gates'],
  lowerGates: ['lower', 'gates'],
  paddlesDown: ['paddles', 'down'],
  run: ['go on,', 'pause'],
  stepBack: ['5 s', 'back'],
  slower: ['slower', ''],
  faster: ['faster', ''],
  again: ['', ''],
};

/** The keyboard, with what each key does on this boat; the keys of it that do nothing stand empty. */
export function KeyPicture({
  keys,
  boat,
  paddles,
}: {
  keys: KeyMap;
  boat: Boat;
  /** Of the lock that is worked. */
  paddles: readonly string[];
}) {
  const does = new Map(
    HELM_ACTIONS.flatMap((action) =>
      actionWords(action, boat, paddles) === null ? [] : [[keys[action], ON_KEY[action]] as const],
    ),
  );
  return (
    <svg
      viewBox={`-1 -1 ${14.2 * STEP} ${5 * STEP}`}
      className="w-full py-1 max-md:hidden"
      role="img"
      aria-label="What is where on the keyboard"
      data-testid="key-picture"
    >
      {CAPS.map(({ key, x, y, wide }) => {
        const words = does.get(key);
        return (
          <g key={key} transform={`translate(${x} ${y})`}>
            <rect
              width={wide}
              height={KEY}
              rx="3"
              fill="none"
              className={words ? 'stroke-ink' : 'stroke-hairline'}
              strokeWidth={words ? 1.4 : 1}
            />
            <text
              x="6"
              y="15"
              className={`figures text-[13px] ${words ? 'fill-ink font-semibold' : 'fill-quiet'}`}
            >
              {keyWords(key)}
            </text>
            {words?.map((word, i) => (
              <text key={i} x="6" y={30 + 12 * i} className="fill-plan text-[11px]">
                {word}
              </text>
            ))}
          </g>
        );
      })}
    </svg>
  );
}
