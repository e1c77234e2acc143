export { gpxImporter } from './importer';
export { readGpx, type GpxLayer } from './read';
