export { csvExporter, gpxExporter, type RunExporter } from './exporter';
export { onGlobe } from './gpx';
