import type { LevelNow, LockState } from '@/core/locks';
import type { LockCue, LockEvent } from '@/core/plan';
import { LEVEL_STANDS_M_A_MINUTE } from '@/core/policy';
import { clock, distance, type Units } from './units';

/** How far a paddle is up: "down", "a quarter up", "all the way up". */
export function shareText(share: number): string {
  if (share <= 0) return 'down';
  if (share >= 1) return 'all the way up';
  if (share === 0.25) return 'a quarter up';
  if (share === 0.5) return 'half up';
  return `${Math.round(share * 100)} % up`;
}

export const LOCK_CUE_WORDS: Readonly<Record<LockCue, string>> = {
  'level above': 'level with the water above',
  'level below': 'level with the water below',
  'open above': 'open above, by one leaf at least',
  'open below': 'open below, by one leaf at least',
  'wide above': 'open above, every leaf',
  'wide below': 'open below, every leaf',
  shut: 'shut at both ends',
};

/** "chamber 1.24 m, rising 0.40 m a minute; upper gates shut, lower gates open" */
export function lockNowText({ chamber, gates }: LockState, rising: number, units: Units): string {
  const minute = rising * 60;
  const goes =
    Math.abs(minute) < LEVEL_STANDS_M_A_MINUTE
      ? 'standing'
      : `${minute > 0 ? 'rising' : 'falling'} ${distance(Math.abs(minute), units)} a minute`;
  const gate = (open: number) =>
    open <= 0
      ? 'shut'
      : open >= 1
        ? 'open'
        : open < 0.01
          ? 'all but shut'
          : `${Math.round(open * 100)} % open`;
  return `${distance(chamber, units)}, ${goes}; gates above ${gate(gates.upper)}, below ${gate(gates.lower)}`;
}

/** "filling, 0.60 m to go, 1:49"; "level with the water above" once it is, whatever leaks on. */
export function levelText(level: LevelNow | null, units: Units): string | null {
  if (!level) return null;
  const { end } = level;
  if (level.is === 'level') return LOCK_CUE_WORDS[end === 'upper' ? 'level above' : 'level below'];
  const time = level.seconds === null ? '' : `, ${clock(level.seconds)}`;
  return `${end === 'upper' ? 'filling' : 'emptying'}, ${distance(level.head, units)} to go${time}`;
}

const EVENTS: Readonly<Record<LockEvent, string>> = {
  'paddle up': 'a paddle is wound up',
  'paddle down': 'a paddle is wound down',
  'gates open': 'gates begin to open',
  'gates shut': 'gates begin to shut',
  'not there': 'nobody ashore to do it',
  'no way across': 'no gates stand shut to walk across by, and no bridge leads over',
  'other gates open': 'the other gates are open: shut them first',
  'never level': 'the level was never made',
  'over the coping': 'the chamber runs over its coping',
  'over the cill': 'the boat lies over the cill as the chamber falls',
  'hangs sooner': 'more water runs, and one end is still over the cill',
  'on the cill': 'the boat hangs on the cill',
  wedged: 'the boat is wedged between the sides as the level goes',
  'hangs wedged': 'the boat hangs wedged between the sides',
  'on a gate': 'an end of the boat rests on the gate as the level goes',
  'caught on a gate': 'an end of the boat is caught on the gate',
  'under the coping':
    'the rail is on the wall under the coping as the chamber rises, fend the boat off',
  'caught under the coping': 'the boat is caught under the coping',
  'fender under the coping': 'a fender comes up under the coping: take it in',
  'rises to a bridge': 'the boat rises to a bridge that is too low for it: paddles down',
  'caught sooner': 'more water runs, and the boat rises faster to the bridge',
  'free again': 'the boat is free again',
};

const TROUBLE: ReadonlySet<LockEvent> = new Set([
  'not there',
  'no way across',
  'other gates open',
  'never level',
  'over the coping',
  'over the cill',
  'hangs sooner',
  'on the cill',
  'wedged',
  'hangs wedged',
  'on a gate',
  'caught on a gate',
  'under the coping',
  'caught under the coping',
  'fender under the coping',
  'rises to a bridge',
  'caught sooner',
]);

const UNTIL: Partial<Record<LockEvent, string>> = {
  'rises to a bridge': 'is caught',
  'caught sooner': 'is caught',
};

/** What happened at a lock; with the time there is left where there is any to lose. */
export function lockEventText(what: LockEvent, seconds?: number): string {
  return seconds === undefined
    ? EVENTS[what]
    : `${EVENTS[what]}: ${clock(seconds)} until the boat ${UNTIL[what] ?? 'hangs'}`;
}

/** The same where it is something wrong; null where it went as it should. */
export function lockTrouble(what: LockEvent, seconds?: number): string | null {
  return TROUBLE.has(what) ? lockEventText(what, seconds) : null;
}
