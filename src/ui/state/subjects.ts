/** What belongs to a manoeuvre, as the side panel shows it: one at a time. */
export const SUBJECTS = ['plan', 'lines', 'conditions', 'others'] as const;
export type Subject = (typeof SUBJECTS)[number];
