import { check, parseJson, placeSchema, success, type Place } from '@/document';
import type { Exporter, FileAbout, Importer } from '../importer';
import { MOST_GEOJSON, readPlaceGeoJson, type ReadPlace, type Unmarked } from './read';
import { placeGeoJson } from './write';

export interface PlaceAbout extends FileAbout {
  readonly unmarked: Unmarked;
}

/** A place as this program keeps it. */
export const ownPlaceImporter: Importer<ReadPlace, PlaceAbout> = {
  id: 'place',
  accept: ['.json', 'application/json'],
  most: MOST_GEOJSON,
  sniff: (text) => text.includes('"$schema"'),
  read(text) {
    const json = parseJson(text, MOST_GEOJSON);
    if (!json.ok) return json;
    const place = check<Place>(placeSchema, json.value);
    return place.ok ? success({ place: place.value, notes: [] }) : place;
  },
};

export const geojsonImporter: Importer<ReadPlace, PlaceAbout> = {
  id: 'geojson',
  accept: ['.json', '.geojson', 'application/json', 'application/geo+json'],
  most: MOST_GEOJSON,
  sniff: (text) => /"type"\s*:\s*"(Feature|FeatureCollection)"/.test(text),
  read: (text, { name, unmarked }) => readPlaceGeoJson(text, name, unmarked),
};

export const geojsonExporter: Exporter<Place> = {
  type: 'application/geo+json',
  ending: 'geojson',
  write(place) {
    const geo = placeGeoJson(place);
    return geo.ok ? success(JSON.stringify(geo.value, null, 2)) : geo;
  },
};
