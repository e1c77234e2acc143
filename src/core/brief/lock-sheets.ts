import { intoLock, IN_LOCK, type LevelChange, type SitedLock } from '../locks';
import { type RunInput } from '../plan';
import { LADDER_OF_SIDE_M, STEP_UP_M } from '../policy';
import type { LockAhead } from './locks-ahead';

/*
 * What is checked at a lock, sheet by sheet in the order it comes: going up or going down, and beside that alone and sharing
 * where it is so. Each check has the figures that are worked out for it; of a staircase those of the chamber that asks for most.
 */

export const LOCK_SHEETS = ['going up', 'going down', 'alone', 'sharing'] as const;
export type LockSheet = (typeof LOCK_SHEETS)[number];

/** Every check of every sheet; what is ticked off is kept by these names. */
export const LOCK_CHECKS = [
  'up-room',
  'up-line',
  'up-shut',
  'up-sign',
  'up-pace',
  'up-bow',
  'up-level',
  'up-out',
  'up-behind',
  'up-aboard',
  'down-cill',
  'down-line',
  'down-shut',
  'down-sign',
  'down-pace',
  'down-stern',
  'down-level',
  'down-out',
  'down-behind',
  'down-aboard',
  'alone-neutral',
  'alone-held',
  'alone-line',
  'alone-ladder',
  'alone-paddle',
  'alone-time',
  'sharing-fit',
  'sharing-first',
  'sharing-still',
  'sharing-out',
] as const;
export type LockCheck = (typeof LOCK_CHECKS)[number];

/** A check with what is worked out for it: SI. */
export interface LockItem {
  readonly check: LockCheck;
  /** Metres, seconds or a share, by the check; null where it has no figure. */
  readonly figure: number | null;
  /** The pace of the paddles, for a check of it. */
  readonly pace: LevelChange | null;
  /** Another boat by name. */
  readonly name: string | null;
  /** It is not so, and somebody would be hurt or hung up. */
  readonly hurts: boolean;
}

export interface Sheet {
  readonly sheet: LockSheet;
  readonly items: readonly LockItem[];
}

const item = (
  check: LockCheck,
  figure: number | null = null,
  rest: Partial<Omit<LockItem, 'check' | 'figure'>> = {},
): LockItem => ({ check, figure, pace: null, name: null, hurts: false, ...rest });

const least = (values: readonly number[]) => Math.min(...values);
const most = (values: readonly number[]) => Math.max(...values);

/** The pace that pulls most, of those the chambers on the boat's way are best made at; null where one is never made. */
function paceOf(ahead: readonly LockAhead[], going: 'up' | 'down'): LevelChange | null {
  const paces = ahead.map(({ figures }) => figures[going]);
  if (paces.some((pace) => pace === null)) return null;
  return (paces as LevelChange[]).reduce((a, b) => (b.pull > a.pull ? b : a));
}

function through(
  input: RunInput,
  ahead: readonly LockAhead[],
  going: 'up' | 'down',
): readonly LockItem[] {
  const ashore = (input.rigging?.crew.length ?? 0) > 1;
  const rope = most(ahead.map(({ figures }) => figures.rope));
  const pace = paceOf(ahead, going);
  const fits = ahead.map(({ figures }) => figures.fit);
  const room = least(fits.map(({ gates, cill }) => (going === 'down' ? cill : gates)));
  const seconds = pace?.seconds ?? null;
  const list: [LockItem, boolean][] = [
    [item(going === 'up' ? 'up-room' : 'down-cill', room, { hurts: room < 0 }), true],
    [item(`${going}-line`, rope), true],
    [item(`${going}-shut`), true],
    [item(`${going}-sign`), ashore],
    [item(`${going}-pace`, null, { pace }), pace !== null],
    [item(going === 'up' ? 'up-bow' : 'down-stern'), true],
    [item(`${going}-level`, seconds), true],
    [item(`${going}-out`), true],
    [item(`${going}-behind`), true],
    [item(`${going}-aboard`), ashore],
  ];
  return list.flatMap(([one, wanted]) => (wanted ? [one] : []));
}

/** How many ladders lead up out of a chamber. */
function laddersIn({ ladders = [] }: RunInput, sited: SitedLock): number {
  const where = new Float64Array(2);
  const { length, width } = sited.lock;
  return ladders.filter(({ x, y }) => {
    intoLock(where, sited, x, y);
    const s = where[IN_LOCK.S]!;
    return (
      s >= 0 && s <= length && Math.abs(Math.abs(where[IN_LOCK.T]!) - width / 2) < LADDER_OF_SIDE_M
    );
  }).length;
}

/** How high the boat has to climb out of a chamber at its lowest, m. */
const climbOut = ({ boat }: RunInput, { lock, coping }: SitedLock): number =>
  coping - Math.min(lock.lower.level, lock.upper.level) - boat.hull.freeboard;

/** Do a keeper's hands work the lock, as the plan has it? */
function kept({ plan }: RunInput): boolean {
  const worked = plan.steps.flatMap(({ orders }) =>
    orders.flatMap(({ order }) =>
      order.do === 'paddle' || order.do === 'gates' ? [order.by] : [],
    ),
  );
  return worked.length > 0 && worked.every((by) => by === null);
}

function alone(input: RunInput, ahead: readonly LockAhead[]): readonly LockItem[] {
  const rope = most(ahead.map(({ figures }) => figures.rope));
  // With a keeper to wind the boat stays aboard.
  if (kept(input)) return [item('alone-neutral'), item('alone-held', rope)];
  const chambers = ahead.map(({ lock }) => input.locks![lock]!);
  const climb = most(chambers.map((sited) => climbOut(input, sited)));
  const bare = chambers.some(
    (sited) => climbOut(input, sited) > STEP_UP_M && laddersIn(input, sited) === 0,
  );
  const times = ahead.map(({ figures }) => figures.byCrew[0]?.whole ?? null);
  const whole = times.some((time) => time === null)
    ? null
    : (times as number[]).reduce((a, b) => a + b, 0);
  return [
    item('alone-neutral'),
    item('alone-line', rope),
    item('alone-ladder', climb, { hurts: bare }),
    item('alone-paddle'),
    item('alone-time', whole),
  ];
}

function shared(ahead: readonly LockAhead[]): readonly LockItem[] {
  const seen = new Map(ahead.flatMap(({ shares }) => shares.map((one) => [one.name, one.how])));
  return [...seen].flatMap(([name, { beside, lengthways, first }]) => [
    item('sharing-fit', Math.max(beside, lengthways), {
      name,
      hurts: beside < 0 && lengthways < 0,
    }),
    item('sharing-first', first === 'she' ? 1 : 0, { name }),
    item('sharing-still', null, { name }),
    item('sharing-out', null, { name }),
  ]);
}

/** The sheets of a passage, the way the boat goes first; none where no lock is ahead of it. */
export function lockSheets(input: RunInput, ahead: readonly LockAhead[]): readonly Sheet[] {
  // Of a staircase the chamber the boat comes into from open water.
  const first = ahead.find(({ from }) => from === null) ?? ahead[0];
  if (!first) return [];
  // From in a chamber the gates the boat comes to are those it leaves by.
  const up = (first.end === 'lower') !== first.inside;
  const sheets: Sheet[] = [
    { sheet: up ? 'going up' : 'going down', items: through(input, ahead, up ? 'up' : 'down') },
  ];
  if ((input.rigging?.crew.length ?? 0) === 1)
    sheets.push({ sheet: 'alone', items: alone(input, ahead) });
  const sharing = shared(ahead);
  if (sharing.length > 0) sheets.push({ sheet: 'sharing', items: sharing });
  return sheets;
}
