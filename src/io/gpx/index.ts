export { MOST_GPX, readGpx, type GpxLayer } from './read';
