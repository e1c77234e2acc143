import type { Ahead, DriveNow, Traffic, Transit } from '@/core/drive';
import type { Run } from '@/core/plan';
import type { Problem } from '@/document';
import type { HelmBy } from './helm-by';
import type { HelmAt } from './helm-orders';
import type { LiveStatus } from './live-status';

export interface HandedOver {
  readonly after: number;
  readonly note: string;
}

export type LiveRun = Pick<Run, 'trace' | 'events' | 'touches'>;

export interface LiveState {
  readonly status: LiveStatus;
  readonly now: DriveNow | null;
  /** The boat's last samples, and all that has happened: what layers on the water draw between. */
  readonly recent: LiveRun | null;
  /** The whole run so far, while it stands still. */
  readonly soFar: Run | null;
  readonly helm: HelmAt | null;
  /** Everybody else who is or will be under way. */
  readonly traffic: readonly Traffic[];
  readonly ahead: Ahead | null;
  readonly rate: number;
  readonly problems: readonly Problem[];
  /** null before anything was to be kept. */
  readonly saved: boolean | null;
  /** The run that is driven, once it has begun. */
  readonly runId: string | null;
  /** Two things in line the boat is held to; null for none, and false where one was looked for and there is none. */
  readonly transit: Transit | null | false;
  /** Whose the helm is, by step. */
  readonly helmBy: HelmBy;
  /** The app gave the helm back: after how long a step of the plan did not come, s, and what is done then; null where it did not. */
  readonly handedOver: HandedOver | null;
  /** An earlier run that goes along as a ghost; null for the plan. */
  readonly ghost: { readonly id: string; readonly run: Run } | null;
}
