export { runCsv } from './csv';
export { onGlobe, runGpx } from './gpx';
