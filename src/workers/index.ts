export type {
  AboutRecords,
  AnalysisName,
  AnalysisUpdate,
  Given,
  LookedOver,
  Part,
  SurveyPart,
  TriedPart,
} from './analyses';
export { AnalysisClient, type AnalysisListener } from './analysis-client';
export { DriveClient } from './drive-client';
export type { DriveUpdate, DriveWorker, Reviewed, SheetWorker, RunWorker } from './protocol';
export { computeSheetFor, PivotClient, type SheetListener } from './sheet-client';
export { stopsComputing } from './lifeline';
export { RunClient, type RunListener } from './run-client';
export { AnalysisCrew, type SharedName } from './analysis-crew';
export { howSure, joinTries, NO_TRIES, type HowSure, type Tries } from './how-sure';
