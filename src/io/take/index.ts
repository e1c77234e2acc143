export { takeCsv } from './csv';
export { onGlobe, takeGpx } from './gpx';
