import type { Job } from '@/document';

/** What a manoeuvre is for, as lists head it. */
export const JOB_WORDS: Readonly<Record<Job, string>> = {
  arrive: 'Arrive',
  leave: 'Leave',
  turn: 'Turn',
  lines: 'Lines and holding',
  locks: 'Locks',
  bigCraft: 'Big craft',
};
