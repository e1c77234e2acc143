import { HOLDS_ENOUGH, LESS_WIND, REMEDY_FIRST } from '@/core/policy';
import { certificateOf, holds } from '@/core/reliability';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { turnedRound } from './compare';
import { isRefused } from './refusals';
import { FRESH, type Asking, type Remedy, type Suggestion } from './suggestion';
import { handfuls, laidBy, trialsOf } from './try-out';

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
  /** Is there a plan for it so changed that holds? */
  function* certify(is: Remedy['is'], changed: ManoeuvreFile): Asking<boolean> {
    const now = { ...soFar, remedies: remedies.slice() };
    const [laid] = yield { doing: is, all: [[{ of: 'way', file: changed, way }]], soFar: now };
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
  const round = turnedRound(goal, boat);
  if (round) yield* certify('other way round', { ...file, goal: round });
  for (const share of speed_mps > 0 ? LESS_WIND : []) {
    const { changes: _changes, ...wind } = conditions.wind;
    const less = { ...wind, speed_mps: Math.round(100 * share * speed_mps) / 100 };
    const eased = { ...file, conditions: { ...conditions, wind: less } };
    if (yield* certify('less wind', eased)) break;
  }
  return remedies;
}
