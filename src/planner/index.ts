export { beginManoeuvre, beginSchema, GOINGS, type Begin, type Going } from './beginnings/begin';
export {
  beginPassage,
  PASSAGES,
  passagesAt,
  passageSchema,
  type BeginPassage,
  type Passage,
  type PassageThere,
} from './beginnings/begin-passage';
export { outOf } from './berths';
export { outlookOf, wishSchema, type LyingThere, type Outlook, type Wish } from './outlook';
export { byWorth, turnedRound, type Comparison, type Way } from './compare';
export { playDay, withinLimits, type DayRun } from './day-windows';
export { keepAsTechnique, unfitOwn } from './own';
export { retimed, type Retimed } from './retime';
export { isRefused, type GoalKind, type Refusal, type RefusalCode, type Refused } from './refusals';
export type { Proposal } from './suggest';
export {
  compareTechniques,
  propose,
  stoppingSpring,
  subjectOf,
  techniquesFor,
  type TechniqueSubject,
} from './suggestions';
export { TECHNIQUE_IDS, techniqueIdSchema, type TechniqueId } from './techniques';
export type { StoppingSpring } from './techniques/first-spring';
export {
  hasOneThatHolds,
  suggestHere,
  suggestPlans,
  type Suggesting,
  type SuggestionSoFar,
} from './suggest-plans';
export type { Doing, Remedy, SuggestedPlan, Suggestion, TryAll } from './suggestion';
export { crewFor } from './worked';
export { roseOf, roseTries, tryOut, type Tried, type Tries } from './try-out';
export { tunePlan, type Tuned } from './tune';
