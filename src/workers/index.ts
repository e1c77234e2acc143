export type { SheetWorker, TakeWorker } from './protocol';
export { computeSheetFor, PivotClient, type SheetListener } from './sheet-client';
export { TakeClient, type TakeListener } from './take-client';
