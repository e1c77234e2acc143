import { windLimit, type WindLimit } from '@/core/search';
import { namedPoints } from '@/document/boat-spec';
import type { Boat } from '@/document/boat';
import type { GoalDocument, ManoeuvreFile } from '@/document/manoeuvre';
import { toRunInput } from '@/document/run-input';
import type { Proposal } from './suggest';

/** One way of doing a manoeuvre, as far as it has been fitted. */
export interface Way<F extends string> {
  readonly technique: F;
  /** Is the boat to lie the other way round at the same mark: bow out instead of in, the other side to? */
  readonly turned: boolean;
  /** The goal it was fitted to. */
  readonly goal: GoalDocument;
  readonly proposal: Proposal;
  /** Wind from the same direction in which it no longer gets there; null while that is not known. */
  readonly limit: WindLimit | null;
}

/** Ways of doing one manoeuvre side by side, those that are through and the one being fitted. */
export interface Comparison<F extends string> {
  readonly through: readonly Way<F>[];
  readonly now: Way<F> | null;
  /** How many there are in all. */
  readonly of: number;
}

/**
 * The goal of lying at the same mark the other way round: heading turned, and the named point of the boat that then comes
 * to lie where the old one lay. Null where the goal is not to lie somewhere.
 */
export function turnedRound(goal: GoalDocument, boat: Boat): GoalDocument | null {
  if (goal.is !== 'lie') return null;
  const points = namedPoints(boat);
  const old = points.find(({ name }) => name === goal.point);
  if (!old) return null;
  const off = ({ x, y }: { x: number; y: number }) =>
    (x + old.x) * (x + old.x) + (y + old.y) * (y + old.y);
  const point = points.reduce((best, one) => (off(one) < off(best) - 1e-9 ? one : best));
  return { ...goal, point: point.name, heading_deg: (goal.heading_deg + 180) % 360 };
}

/** Better first: that it gets there, then the wind it holds to, then the room it leaves. */
export function byWorth<F extends string>(a: Way<F>, b: Way<F>): number {
  const gets = ({ proposal }: Way<F>) => (proposal.run.outcome === 'reached' ? 0 : 1);
  const holds = ({ limit }: Way<F>) => limit?.wind ?? limit?.holdsTo ?? 0;
  const clear = ({ proposal }: Way<F>) => proposal.run.margins.clearance?.distance ?? Infinity;
  const apart = holds(b) - holds(a);
  // A quarter of a metre a second more or less is no difference in a wind.
  return gets(a) - gets(b) || (Math.abs(apart) > 0.25 ? apart : 0) || clear(b) - clear(a) || apart;
}

/**
 * Has every technique of a list fitted, one after the other, and the wind found in which each fails. Takes as long as the
 * techniques do together: seconds each.
 */
export function* compareWays<F extends string>(
  ways: readonly {
    readonly technique: F;
    readonly turned: boolean;
    readonly file: ManoeuvreFile;
  }[],
  propose: (file: ManoeuvreFile, technique: F) => Iterable<Proposal>,
): Generator<Comparison<F>> {
  const through: Way<F>[] = [];
  const of = ways.length;
  for (const { technique, turned, file } of ways) {
    let last: Way<F> | null = null;
    for (const proposal of propose(file, technique)) {
      last = { technique, turned, goal: file.goal, proposal, limit: null };
      yield { through: through.slice(), now: last, of };
    }
    if (!last) continue;
    const input = toRunInput({ ...file, plan: last.proposal.plan });
    through.push(input.ok ? { ...last, limit: windLimit(input.value) } : last);
    through.sort(byWorth);
    yield { through: through.slice(), now: null, of };
  }
}
