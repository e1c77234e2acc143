import type { Place } from '@/document';
import type { FileAbout, Importer } from '../importer';
import { MOST_GPX, readGpx, type GpxLayer } from './read';

export interface TraceAbout extends FileAbout {
  /** What it is laid over. */
  readonly place: Place;
}

export const gpxImporter: Importer<GpxLayer, TraceAbout> = {
  id: 'gpx',
  accept: ['.gpx', 'application/gpx+xml', 'text/xml'],
  most: MOST_GPX,
  sniff: (text) => /<(\w+:)?gpx\b/.test(text),
  read: (text, { name, place }) => readGpx(text, name, place),
};
