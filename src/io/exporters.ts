import type { Place } from '@/document';
import { geojsonExporter } from './geojson';
import type { Exporter } from './importer';
import { csvExporter, gpxExporter, type RunExporter } from './run';

/** Every format that can be written beside this program's own, by what is written. */

export const PLACE_EXPORTERS = { geojson: geojsonExporter } as const satisfies Readonly<
  Record<string, Exporter<Place>>
>;

export const RUN_EXPORTERS = { csv: csvExporter, gpx: gpxExporter } as const satisfies Readonly<
  Record<string, RunExporter>
>;
export type RunFormat = keyof typeof RUN_EXPORTERS;

/** This program's own format and the others', as a query asks for them. */
export const formatsOf = <K extends string>(
  exporters: Readonly<Record<K, unknown>>,
): readonly ['json', ...K[]] => ['json', ...(Object.keys(exporters) as K[])];
