import { columnsIn, type Trace } from '@/core/simulation';

/** What is to be transferred with a record: its columns share a buffer, which must be named once. */
export const buffersOf = (trace: Trace): ArrayBuffer[] => [
  ...new Set(columnsIn(trace).map((column) => column.buffer as ArrayBuffer)),
];
