export { MOST_LAT_DEG, projection, type LonLat, type Metres, type Origin } from './projection';
export { geojsonExporter, geojsonImporter, ownPlaceImporter } from './importer';
export { readPlaceGeoJson, type ReadPlace, type Unmarked } from './read';
export { placeGeoJson } from './write';
