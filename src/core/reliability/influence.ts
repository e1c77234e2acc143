import type { RunInput } from '../plan';
import { only, without, type Source, type Spread } from '../uncertainty';
import { shareOf, type Share } from './share';
import { holds, trialOf } from './trial';

/** Parts of a spread that are told together. */
export const INFLUENCES = {
  wind: ['windSpeed', 'windFrom', 'calm'],
  gusts: ['gusts'],
  current: ['current', 'currentSet'],
  thrust: ['thrust', 'thrustAstern'],
  'prop walk': ['propWalk'],
  windage: ['windForce', 'windCentre'],
  'hull drag': ['hullDrag'],
  'lock water': ['lockWater'],
  wash: ['wash'],
  throws: ['throws'],
  start: ['start'],
  lateness: ['lateness'],
  judgement: ['judgement'],
} as const satisfies Readonly<Record<string, readonly Source[]>>;
export type InfluenceName = keyof typeof INFLUENCES;

/** What one part of a spread does: the share that holds without it, and with it alone. */
export interface Influence {
  readonly of: InfluenceName;
  readonly without: Share;
  readonly alone: Share;
}

/** The share of runs `from` up to `to` of a seed that hold. */
export function sharedOver(
  input: RunInput,
  spread: Spread,
  seed: number,
  from: number,
  to: number,
): Share {
  let held = 0;
  for (let k = from; k < to; k++) if (holds(trialOf(input, spread, seed, k))) held += 1;
  return shareOf(held, to - from);
}

/** Does a part of a spread come into a manoeuvre at all? */
function comesIn({ weather, locks, rigging }: RunInput, source: Source): boolean {
  switch (source) {
    case 'current':
    case 'currentSet':
      return weather.currentSpeed > 0;
    case 'lockWater':
      return (locks?.length ?? 0) > 0;
    case 'wash':
      return weather.wash !== undefined;
    case 'throws':
      return (rigging?.lines.length ?? 0) > 0;
    default:
      return true;
  }
}

/** One part's influence, over runs that are drawn alike but for it. Null for parts that a spread leaves as they are told,
 * or that do not come into the manoeuvre. */
export function influenceOf(
  input: RunInput,
  spread: Spread,
  of: InfluenceName,
  seed: number,
  runs: number,
): Influence | null {
  const sources = INFLUENCES[of];
  if (!sources.some((source) => spread[source] !== null && comesIn(input, source))) return null;
  return {
    of,
    without: sharedOver(input, without(spread, sources), seed, 0, runs),
    alone: sharedOver(input, only(spread, sources), seed, 0, runs),
  };
}
