import type { Certificate, Share } from '@/core/reliability';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import type { PlanDocument } from '@/document/plan';
import type { Refusal } from './refusals';
import type { Tried, Tries } from './try-out';
import type { WorkedPlan, WorkedWay } from './worked';

/** What a suggestion is at just now: how far the way is clear, which way is tried out, what is made easier. */
export type Doing = 'laying' | 'reference helm' | 'choosing' | 'certifying' | Remedy['is'];

/** Tries a suggestion wants to have played: lists of them, what for, and what is found so far. */
export interface Wanted {
  readonly doing: Doing;
  readonly all: readonly (readonly Tries[])[];
  readonly soFar: Suggestion;
}
/** What came of each list, in their order. */
export type Answers = readonly (readonly Tried[])[];
/** What asks for tries and is told what came of them. */
export type Asking<T> = Generator<Wanted, T, Answers>;

/** Has tries played, all at once as far as there are cores, and tells of each list what came of it, in their order. */
export type TryAll = (all: readonly (readonly Tries[])[]) => Promise<Answers>;

/** A plan that was found and how sure it is. */
export interface SuggestedPlan extends WorkedPlan {
  readonly way: WorkedWay;
  readonly certificate: Certificate;
}

/** What would make it hold: one more hand, less wind, or lying the other way round; with the plan that then does. */
export interface Remedy {
  readonly is: 'less wind' | 'other way round' | 'one more hand';
  /** Wind it is tried in, m/s. */
  readonly wind: number;
  readonly goal: ManoeuvreFile['goal'];
  readonly plan: PlanDocument;
  readonly certificate: Certificate;
}

export interface Suggestion {
  /** Best first. */
  readonly plans: readonly SuggestedPlan[];
  /** What the helm that sees everything holds in; null where the goal is none it knows. */
  readonly reference: Share | null;
  readonly refused: Refusal | null;
  readonly remedies: readonly Remedy[];
}

/** Those a certificate is made of are no others' tries. */
export const FRESH = 1_000_000;

export const NOTHING: Suggestion = { plans: [], reference: null, refused: null, remedies: [] };
