export type {
  AboutRecords,
  AnalysisName,
  AnalysisUpdate,
  Given,
  LookedOver,
  HowSure,
  SurveyPart,
} from './analyses';
export { AnalysisClient, type AnalysisListener } from './analysis-client';
export { DriveClient } from './drive-client';
export type { DriveUpdate, DriveWorker, Reviewed, SheetWorker, RunWorker } from './protocol';
export { computeSheetFor, PivotClient, type SheetListener } from './sheet-client';
export { stopsComputing } from './lifeline';
export { RunClient, type RunListener } from './run-client';
