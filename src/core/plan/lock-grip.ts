import { GROUND } from '../holding';
import type { RunEvent } from './events';
import { weightOf } from '../locks';
import { signedArea } from '../math';
import { GRIP_HANGS_WEIGHT, CAUGHT_M, GATE_TOLD_M, GRIP_FREE_S, LIP_NEAR_M } from '../policy';
import { GRAVITY_MPS2 } from '../units';
import type { Simulation, World } from '../simulation';

/**
 * What keeps a boat from going up or down with a chamber's water though it floats:
 *
 *   wedged   it is pressed on both sides, by walls or a boat beside it. Friction carries it by up to Σ μN; until then it
 *            stays where it is, and ρ g A dz hangs on it, A its waterplane, dz what the level has changed by
 *   under the coping  its rail is pressed on the wall as it rises to stones that stand out over it: it stays under them
 *   on a gate  an end of its rests against a leaf while the level changes: a stem goes under a beam, or comes down on one
 *
 * Heave itself is left out of the motion: what hangs is told, not moved. Weakly known: friction ± 50 %, where a gate has beams unknown.
 */
export type Grip = 'wedged' | 'on a gate' | 'under the coping';

/** A touch leads to the end rather than the side of the boat from this slope of its push on. */
const END_ON = 0.7;
/** Slower than this the level stands, m/s. */
const STANDS_MPS = 1e-4;

/** What is found of a grip: seconds until the boat hangs as the level goes, nought when it does; null while it stands. */
export interface Gripped {
  readonly grip: Grip;
  readonly seconds: number | null;
  readonly hangs: boolean;
}

const NONE: readonly Gripped[] = [];

/**
 * Pushes on the boat at one moment: what each side takes, what friction there carries, N, whether an end rests on a leaf, whether its
 * rail is on a wall, and how high over the water the highest fender reaches that is on one, m; −Infinity for none.
 */
interface Pushes {
  readonly sides: number;
  readonly carried: number;
  readonly onGate: boolean;
  readonly rail: boolean;
  readonly fender: number;
}

/** Stones that stand out over the walls of the chamber the boat lies in: level of their lower edge, m. */
export interface Lip {
  readonly under: number;
}

/** One grip as it goes on: the level it began at, brought after the boat as it slides, and when it last held. */
class Hold {
  private from = 0;
  private last = -Infinity;

  /** How far the level has gone since it began, m; null where nothing has held for a while: who rests against a thing also nudges it. */
  gone(holds: boolean, level: number, time: number): number | null {
    if (holds) {
      if (time - this.last > GRIP_FREE_S) this.from = level;
      this.last = time;
    }
    return time - this.last > GRIP_FREE_S ? null : Math.abs(level - this.from);
  }

  /** The boat slides: no more than so much hangs. */
  slide(level: number, most: number): void {
    const way = level - this.from;
    if (Math.abs(way) > most) this.from = level - Math.sign(way) * most;
  }
}

/** Looks at the touches of a boat in a chamber, sample by sample. */
export class LockGrip {
  private readonly sides = new Hold();
  private readonly gate = new Hold();
  private readonly weight: number;
  /** Weight of water the boat's waterplane takes to sink by a metre, N/m. */
  private readonly perMetre: number;
  private level = NaN;
  private time = NaN;
  /** When the boat's rail was last on the wall under the coping, s, and when a fender was under it. */
  private below = -Infinity;
  fenderUnder = false;

  constructor(private readonly world: World) {
    const { hull } = world.craft.spec;
    const hulls = hull.demihullOffset > 0 ? 2 : 1;
    const area = hulls * Math.abs(signedArea(hull.waterline));
    this.weight = weightOf(hull.mass);
    this.perMetre = world.environment.waterDensity * GRAVITY_MPS2 * area;
  }

  /** @param chamber level of the chamber the boat lies in, m */
  look(now: Simulation, chamber: number, lip: Lip | null = null): readonly Gripped[] {
    const { state } = now;
    const dt = state.time - this.time;
    const rate = dt > 0 ? (chamber - this.level) / dt : 0;
    this.level = chamber;
    this.time = state.time;
    const pushes = pushesOn(now);
    const wedged = this.wedged(pushes, chamber, rate);
    const caught = this.caught(pushes, chamber, rate);
    const under = lip && this.underCoping(pushes, chamber, rate, lip);
    this.fenderUnder = lip !== null && rate > STANDS_MPS && chamber + pushes.fender > lip.under;
    if (!wedged && !caught && !under) return NONE;
    return [wedged, caught, under].filter((one) => one !== null);
  }

  private underCoping({ rail }: Pushes, level: number, rate: number, lip: Lip): Gripped | null {
    const over = level + this.world.craft.spec.hull.freeboard - lip.under;
    // Whoever lies with the boat's rail over their lower edge already rises past them.
    if (rail && (over <= 0 || this.time - this.below <= GRIP_FREE_S)) this.below = this.time;
    if (this.time - this.below > GRIP_FREE_S || over < -LIP_NEAR_M) return null;
    const left = (GRIP_HANGS_WEIGHT * this.weight) / this.perMetre - over;
    // A falling chamber lets the boat off.
    return rate > STANDS_MPS || over > 0
      ? found('under the coping', left, Math.max(0, rate))
      : null;
  }

  private wedged({ sides, carried }: Pushes, level: number, rate: number): Gripped | null {
    const hangsAt = GRIP_HANGS_WEIGHT * this.weight;
    const gone = this.sides.gone(sides > 0 && carried >= hangsAt, level, this.time);
    if (gone === null) return null;
    this.sides.slide(level, carried / this.perMetre);
    return found('wedged', hangsAt / this.perMetre - gone, rate);
  }

  private caught({ onGate }: Pushes, level: number, rate: number): Gripped | null {
    const gone = this.gate.gone(onGate, level, this.time);
    return gone === null || gone < GATE_TOLD_M ? null : found('on a gate', CAUGHT_M - gone, rate);
  }
}

/** What grips the boat at a moment of a run, by its events: seconds left until it hangs, null where none are known or it hangs. */
export function gripAt(
  events: readonly RunEvent[],
  time: number,
): {
  readonly what: Exclude<(typeof OF_GRIPS)[number], 'free again'>;
  readonly seconds: number | null;
} | null {
  const last = events.findLast(
    (event) =>
      event.is === 'lock' &&
      event.time <= time &&
      (OF_GRIPS as readonly string[]).includes(event.what),
  );
  if (last?.is !== 'lock' || last.what === 'free again') return null;
  const what = last.what as Exclude<(typeof OF_GRIPS)[number], 'free again'>;
  const seconds =
    last.seconds === undefined ? null : Math.max(0, last.seconds - (time - last.time));
  return { what, seconds };
}
const OF_GRIPS = [
  'wedged',
  'hangs wedged',
  'on a gate',
  'caught on a gate',
  'under the coping',
  'caught under the coping',
  'free again',
] as const;

function found(grip: Grip, left: number, rate: number): Gripped {
  const speed = Math.abs(rate);
  const hangs = left <= 0;
  return { grip, hangs, seconds: hangs ? 0 : speed > STANDS_MPS ? left / speed : null };
}

/** What walls, leaves and boats beside its push with. The less pressed of its sides counts, and the friction of both. */
function pushesOn({ world, vessel, pairs }: Simulation): Pushes {
  const { shore, gates, craft } = world;
  const { fenders, hull } = craft.spec;
  let rail = false;
  let fender = -Infinity;
  let port = 0;
  let starboard = 0;
  let carried = 0;
  let onGate = false;
  const add = (toStarboard: boolean, normal: number, friction: number) => {
    if (toStarboard) starboard += normal;
    else port += normal;
    carried += friction * normal;
  };
  const { touch } = vessel.scratch;
  for (let k = 0; k < touch.count; k++) {
    const on = touch.obstacle[k]!;
    const ny = touch.ny[k]!;
    if (Math.abs(touch.nx[k]!) > END_ON) {
      onGate ||= on >= gates!.first && on < gates!.first + gates!.leaves.length;
      continue;
    }
    if (on < gates!.first && touch.normalForce[k]! > 0) {
      const hung = fenders[touch.element[k]! - craft.touch.hullCount];
      if (!hung) rail = true;
      // One whose height nobody has told hangs from the boat's rail.
      else
        fender = Math.max(
          fender,
          hung.height === undefined ? hull.freeboard : hung.height + hung.length / 2,
        );
    }
    // Pushed to port by what lies to starboard.
    add(ny < 0, touch.normalForce[k]!, shore.friction[on]!);
  }
  for (const { boat, other, acts } of pairs) {
    if (boat !== 0 && other !== 0) continue;
    const { touch: between, seen, side } = acts;
    for (let k = 0; k < between.count; k++) {
      const x = between.x[k]!;
      const y = between.y[k]!;
      // Where the other lies to the boat: in its own axes, or brought into them.
      const at = boat === 0 ? y : seen[GROUND.X]! + x * seen[GROUND.SIN]! + y * seen[GROUND.COS]!;
      add(at > 0, between.normalForce[k]!, side.friction[0]!);
    }
  }
  const sides = Math.min(port, starboard);
  return { sides, carried: sides > 0 ? carried : 0, onGate, rail, fender };
}
