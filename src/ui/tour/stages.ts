import { LOOKED_S } from '@/core/policy';

/** What somebody new is shown, one after the other. */
export const STAGES = ['look', 'wind', 'mend', 'drive', 'end'] as const;
export type Stage = (typeof STAGES)[number];

/** What of the workspace a stage waits for. */
export interface Seen {
  /** Seconds of the run that were played. */
  readonly played: number;
  /** Has the wind been changed since the tour began? */
  readonly windChanged: boolean;
  /** Does the run get where it is to? Null while that is being worked out. */
  readonly reached: boolean | null;
  readonly driving: boolean;
}

/** The stage after what has been seen: the same while what it waits for has not come. */
export function stageAfter(stage: Stage, seen: Seen): Stage {
  switch (stage) {
    case 'look':
      return seen.played >= LOOKED_S ? 'wind' : 'look';
    case 'wind':
      return seen.windChanged && seen.reached === false ? 'mend' : 'wind';
    case 'mend':
      return seen.reached === true ? 'drive' : 'mend';
    case 'drive':
      return seen.driving ? 'end' : 'drive';
    case 'end':
      return 'end';
  }
}
