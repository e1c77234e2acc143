import { REACTION_S, WAY_OUT_SPARE_M, WAY_OUT_SPARE_LENGTHS } from '../policy';
import type { SimState } from '../simulation';
import { Rollout, type Nearest, type Surroundings } from './rollout';
import { escape, ESCAPES, type EscapeName } from './escapes';

/**
 * Way out of a moment: kept open (an escape begun two seconds late clears everything with room to spare), only with
 * luck (nothing worse than a soft touch, or a firm one of the boat's own berth, begun at once), or none.
 */
export type WayOutGrade = 'open' | 'luck' | 'none';

export interface WayOutAt {
  readonly time: number;
  readonly grade: WayOutGrade;
  /** The escape that does best, and what it comes nearest to; null when none does. */
  readonly by: EscapeName | null;
  readonly spare: Nearest | null;
}

/** Room an open way out leaves, m: half a metre, two per cent of a ship's length. Judgement. */
export function spareWanted(length: number): number {
  return Math.max(WAY_OUT_SPARE_M, WAY_OUT_SPARE_LENGTHS * length);
}

interface Tried {
  readonly spare: Nearest;
  readonly touched: 'no' | 'soft' | 'worse';
}

/**
 * Carries on as ordered for `late` seconds, then escapes; gives up once clearance is under `floor`, a touch is not soft,
 * a line is in a propeller, the boat takes the ground or is caught under a bridge.
 */
function attempt(
  about: Surroundings,
  from: SimState,
  name: EscapeName,
  late: number,
  floor: number,
): Tried {
  const rollout = new Rollout(about, from);
  let worse = false;
  let seen = 0;
  const broken = () => {
    if (rollout.touchCount !== seen) {
      seen = rollout.touchCount;
      // The boat's berth it came to lie against: there a firm touch is none that does harm.
      worse = rollout.touches.some(
        ({ grade, obstacle }) =>
          grade === 'hard' || (grade === 'firm' && !about.berth.has(obstacle)),
      );
    }
    if (rollout.fouled || rollout.aground || rollout.overhead !== null) worse = true;
    return worse || rollout.leastClearance < floor;
  };
  if (late > 0) rollout.until(broken, late);
  if (!broken()) escape(rollout, name, broken);
  return { spare: rollout.nearest, touched: worse ? 'worse' : seen > 0 ? 'soft' : 'no' };
}

/**
 * The way out from a moment.
 *
 * @param first escape tried first, as what did a moment ago will mostly do again
 */
export function wayOutAt(
  about: Surroundings,
  from: SimState,
  first: EscapeName | null = null,
): WayOutAt {
  const { time } = from;
  const wanted = spareWanted(about.world.craft.spec.hull.length);
  const order = first ? [first, ...ESCAPES.filter((name) => name !== first)] : ESCAPES;
  for (const name of order) {
    const { spare, touched } = attempt(about, from, name, REACTION_S, wanted);
    if (touched !== 'worse' && spare.distance >= wanted)
      return { time, grade: 'open', by: name, spare };
  }
  let best: { name: EscapeName; spare: Nearest } | null = null;
  for (const name of order) {
    const { spare, touched } = attempt(about, from, name, 0, 0);
    if (touched === 'worse' || spare.distance < 0) continue;
    if (!best || spare.distance > best.spare.distance) best = { name, spare };
  }
  if (!best) return { time, grade: 'none', by: null, spare: null };
  return { time, grade: 'luck', by: best.name, spare: best.spare };
}

/**
 * The last moment at which to break off, s: the last with a way out before the first without; null while there is
 * always one, or never.
 *
 * @param moments in the order of time
 */
export function lastWayOut(moments: readonly WayOutAt[]): WayOutAt | null {
  const gone = moments.findIndex(({ grade }) => grade === 'none');
  return gone > 0 ? moments[gone - 1]! : null;
}
