import type { Goal } from '@/core/plan';

export type GoalKind = Goal['is'];

/** What a manoeuvre is for, as a technique's reason not to be for it says it. */
export const GOAL_WORDS: Readonly<
  Record<GoalKind, { readonly of: string; readonly does: string }>
> = {
  lie: { of: 'coming to lie somewhere', does: 'comes to lie somewhere' },
  clear: { of: 'going off a berth', does: 'goes off' },
  through: { of: 'going through a lock', does: 'goes through a lock' },
};

export const goesText = (goal: GoalKind): string => `this manoeuvre ${GOAL_WORDS[goal].does}`;
