import {
  ANY_PULL_N,
  ANY_THROW_M,
  CALLER,
  HOLDS_ENOUGH,
  LESS_WIND,
  REMEDY_FIRST,
} from '@/core/policy';
import { certificateOf, holds } from '@/core/reliability';
import { namedPoints } from '@/document/boat-spec';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import type { PlanDocument } from '@/document/plan';
import { turnedRound } from './compare';
import { isRefused } from './refusals';
import { FRESH, type Asking, type Remedy, type Suggestion } from './suggestion';
import { handfuls, laidBy, trialsOf } from './try-out';
import type { WorkedWay } from './worked';

/** The crew and one more, at the bow; null where somebody stands there, or there is nowhere to stand. */
function callerFor({ boat, plan: { crew } }: ManoeuvreFile): PlanDocument['crew'] | null {
  const points = namedPoints(boat);
  const from = CALLER.forward * boat.hull.length_m;
  const isForward = (name: string) => points.some((one) => one.name === name && one.x >= from);
  if (crew.some(({ at }) => 'aboard' in at && isForward(at.aboard))) return null;
  const cleats = points.filter(({ name }) => name.endsWith('bow cleat') && isForward(name));
  const [bow] = cleats;
  if (!bow) return null;
  const named = new Set(crew.map(({ name }) => name));
  const name = ['Bow', 'Bow hand', 'One more'].find((one) => !named.has(one));
  if (!name) return null;
  const hand = { name, at: { aboard: bow.name }, pull_N: ANY_PULL_N, throws_m: ANY_THROW_M };
  return [...crew, hand];
}

/** One thing at a time made easier, the least of it that holds. */
export function* remediesFor(
  soFar: Suggestion,
  file: ManoeuvreFile,
  { seed, count }: { readonly seed: number; readonly count: number },
): Asking<Remedy[]> {
  const { conditions, goal, boat } = file;
  const { way } = soFar.plans[0]!;
  const { speed_mps } = conditions.wind;
  const remedies: Remedy[] = [];
  /** Is there a plan for it so changed that holds, worked so? */
  function* certify(is: Remedy['is'], changed: ManoeuvreFile, by: WorkedWay): Asking<boolean> {
    const now = { ...soFar, remedies: remedies.slice() };
    const [laid] = yield { doing: is, all: [[{ of: 'way', file: changed, way: by }]], soFar: now };
    const worked = laidBy(laid![0]!);
    if (!worked.ok || isRefused(worked.value)) return false;
    const { plan } = worked.value;
    const some = (from: number, to: number) =>
      handfuls({ of: 'plan', file: { ...changed, plan }, seed }, FRESH + from, to - from);
    const few = Math.min(REMEDY_FIRST, count);
    const [first] = yield { doing: is, all: [some(0, few)], soFar: now };
    // One of a few may fail of nineteen in twenty; two of them mostly do not.
    if (trialsOf(first!).filter(holds).length < few - 1) return false;
    // What it was let through by does not count: it would tell better of it than it is.
    const [rest] = yield { doing: is, all: [some(few, few + count)], soFar: now };
    const certificate = certificateOf(trialsOf(rest!));
    if (certificate.share < HOLDS_ENOUGH) return false;
    const { wind } = changed.conditions;
    remedies.push({ is, wind: wind.speed_mps, goal: changed.goal, plan, certificate });
    return true;
  }
  // What wants a spring in this wind may do without in another.
  const ways = way.spring ? [way, { ...way, spring: false }] : [way];
  function* any(is: Remedy['is'], changed: ManoeuvreFile): Asking<boolean> {
    for (const by of ways) if (yield* certify(is, changed, by)) return true;
    return false;
  }
  const caller = callerFor(file);
  if (caller) yield* any('one more hand', { ...file, plan: { ...file.plan, crew: caller } });
  const round = turnedRound(goal, boat);
  if (round) yield* any('other way round', { ...file, goal: round });
  for (const share of speed_mps > 0 ? LESS_WIND : []) {
    const { changes: _changes, ...wind } = conditions.wind;
    const less = { ...wind, speed_mps: Math.round(100 * share * speed_mps) / 100 };
    const eased = { ...file, conditions: { ...conditions, wind: less } };
    if (yield* any('less wind', eased)) break;
  }
  return remedies;
}
