import { Random } from '../math';
import { quantileOf, type Distribution } from './distribution';
import { SOURCES, type Source, type Spread } from './spread';

/** One way things may be: every part of a spread drawn. SI and radians. */
export interface Draw {
  readonly windSpeed: number;
  readonly windFrom: number;
  /** What a calm comes to. */
  readonly calm: { readonly speed: number; readonly from: number } | null;
  readonly gusts: {
    readonly intensity: number;
    readonly timeScale: number;
    readonly seed: number;
  } | null;
  readonly current: number;
  readonly currentSet: number;
  readonly thrust: number;
  readonly thrustAstern: number;
  readonly propWalk: number;
  readonly windForce: number;
  readonly windCentre: number;
  readonly hullDrag: number;
  readonly lockWater: number;
  readonly wash: number;
  /** Arriving and leaving alike, in deviations: which of the two it is the manoeuvre says. */
  readonly start: Readonly<Record<'arriving' | 'leaving', StartOffset>> | null;
  /** How late the nth order of a plan is, s. */
  readonly late: (order: number) => number;
  /** How the nth judgement of a plan errs. */
  readonly judged: (judgement: number) => Judged;
  /** Seed of what is left to chance in a run: whether a throw is caught; null where that is as it is told. */
  readonly throws: number | null;
}

export interface StartOffset {
  readonly along: number;
  readonly across: number;
  readonly heading: number;
  readonly speed: number;
}

export interface Judged {
  readonly distance: number;
  readonly angle: number;
  readonly speed: number;
}

const RIGHT: Judged = { distance: 1, angle: 0, speed: 0 };

/** A stream of its own for each run, part and place of a part: what is drawn of one does not depend on whether others are. */
function stream(seed: number, run: number, part: number, place = 0): Random {
  const mixed =
    Math.imul(seed + 1, 0x9e3779b1) ^
    Math.imul(run + 1, 0x85ebca77) ^
    Math.imul(part + 1, 0xc2b2ae3d) ^
    Math.imul(place + 1, 0x27d4eb2f);
  const random = new Random(mixed);
  // The first of a stream lies near that of its neighbour.
  random.uniform();
  return random;
}

/** Uniform in (0, 1). */
const share = (random: Random) => (random.uniform() * 4294967296 + 0.5) / 4294967297;

/**
 * Draw `run` of a seed. The same for whatever is compared with it: of another spread with the same parts, the same shares; of one with
 * fewer, those that are left.
 */
export function drawOf(spread: Spread, seed: number, run: number): Draw {
  const of = (source: Source, place = 0) => stream(seed, run, SOURCES.indexOf(source), place);
  const one = (source: Source, of_: Distribution | null, otherwise: number) =>
    of_ === null ? otherwise : quantileOf(of_, share(of(source)));
  const { calm, gusts, start, lateness, judgement } = spread;
  const startFrom = (from: 'arriving' | 'leaving'): StartOffset => {
    const { along, across, heading, speed } = start![from];
    // The same shares whichever it is.
    const random = of('start');
    return {
      along: quantileOf(along, share(random)),
      across: quantileOf(across, share(random)),
      heading: quantileOf(heading, share(random)),
      speed: quantileOf(speed, share(random)),
    };
  };
  const calmOf = (spread_: Distribution) => {
    const random = of('calm');
    return { speed: quantileOf(spread_, share(random)), from: 2 * Math.PI * share(random) };
  };
  return {
    windSpeed: one('windSpeed', spread.windSpeed, 1),
    windFrom: one('windFrom', spread.windFrom, 0),
    calm: calm && calmOf(calm),
    gusts: gusts && { ...gusts, seed: Math.floor(0x7fffffff * share(of('gusts'))) },
    current: one('current', spread.current, 1),
    currentSet: one('currentSet', spread.currentSet, 0),
    thrust: one('thrust', spread.thrust, 1),
    thrustAstern: one('thrustAstern', spread.thrustAstern, 1),
    propWalk: one('propWalk', spread.propWalk, 1),
    windForce: one('windForce', spread.windForce, 1),
    windCentre: one('windCentre', spread.windCentre, 0),
    hullDrag: one('hullDrag', spread.hullDrag, 1),
    lockWater: one('lockWater', spread.lockWater, 1),
    wash: one('wash', spread.wash, 1),
    start: start && { arriving: startFrom('arriving'), leaving: startFrom('leaving') },
    late: (order) => (lateness ? quantileOf(lateness, share(of('lateness', order))) : 0),
    judged(judgement_) {
      if (!judgement) return RIGHT;
      const random = of('judgement', judgement_);
      return {
        distance: Math.max(0, quantileOf(judgement.distance, share(random))),
        angle: quantileOf(judgement.angle, share(random)),
        speed: quantileOf(judgement.speed, share(random)),
      };
    },
    throws: spread.throws && Math.floor(0x7fffffff * share(of('throws'))),
  };
}
