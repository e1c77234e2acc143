import type { DrivenFile } from '@/document';
import type { Exporter } from '../importer';
import { runCsv } from './csv';
import { runGpx } from './gpx';

/** A driven run, written with the moment it was begun, ms since 1970 UTC. */
export type RunExporter = Exporter<DrivenFile, number>;

/** Its samples. */
export const csvExporter: RunExporter = {
  type: 'text/csv; charset=utf-8',
  ending: 'csv',
  write: (file) => runCsv(file),
};

/** Its track. */
export const gpxExporter: RunExporter = {
  type: 'application/gpx+xml',
  ending: 'gpx',
  write: (file, startedAt) => runGpx(file, startedAt),
};
