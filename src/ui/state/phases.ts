/** What the workspace is used for, in the order of the work. */
export const PHASES = ['brief', 'plan', 'what if', 'rehearse', 'debrief', 'card'] as const;
export type Phase = (typeof PHASES)[number];
