export { DriveClient } from './drive-client';
export { LookClient, type LookListener } from './look-client';
export type {
  DriveTold,
  DriveWorker,
  Looked,
  LookEnd,
  LookWorker,
  Reviewed,
  SheetWorker,
  TakeWorker,
} from './protocol';
export { computeSheetFor, PivotClient, type SheetListener } from './sheet-client';
export { TakeClient, type TakeListener } from './take-client';
