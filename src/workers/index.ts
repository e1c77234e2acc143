export { DriveClient } from './drive-client';
export { LookClient, type LookListener } from './look-client';
export type {
  DriveTold,
  DriveWorker,
  AnalysisUpdate,
  LookEnd,
  LookWorker,
  Reviewed,
  SheetWorker,
  RunWorker,
} from './protocol';
export { computeSheetFor, PivotClient, type SheetListener } from './sheet-client';
export { RunClient, type RunListener } from './run-client';
