import type { Deck } from './deck';
import type { CrewMember, Job } from './crew-member';
import type { LineJobs } from './line-jobs';
import type { LockWorkAt } from './lock-jobs';
import type { PointOnBoat } from './references';
import type { Rails } from './stepping';

/** What an order to people may use: lines, rails, locks, and legs. */
export type CrewAt = Deck &
  Rails &
  LockWorkAt & {
    readonly jobs: LineJobs;
    /** Walks to a place aboard. */
    goes(member: CrewMember, point: PointOnBoat): Job;
  };
