import { geojsonImporter, ownPlaceImporter, type ReadPlace } from './geojson';
import type { PlaceAbout } from './geojson/importer';
import { gpxImporter, type GpxLayer } from './gpx';
import type { TraceAbout } from './gpx/importer';
import type { Importer } from './importer';
import { nmeaImporter, type NmeaRecord } from './nmea0183';

/** Every format that can be read, by what comes of it. */

export const PLACE_IMPORTERS: readonly Importer<ReadPlace, PlaceAbout>[] = [
  ownPlaceImporter,
  geojsonImporter,
];

/** Tracks and waypoints to draw a place by. */
export const TRACE_IMPORTERS: readonly Importer<GpxLayer, TraceAbout>[] = [gpxImporter];

/** What instruments told under way. */
export const RECORDING_IMPORTERS: readonly Importer<NmeaRecord>[] = [nmeaImporter];

export { acceptOf, mostOf, readWith } from './importer';
