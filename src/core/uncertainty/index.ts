export { normal, normalQuantile, quantileOf, uniform, type Distribution } from './distribution';
export { drawOf, type Draw, type Judged, type StartOffset } from './draw';
export {
  NO_SPREAD,
  only,
  SOURCES,
  spreadFor,
  STANDARD_SPREAD,
  without,
  type Source,
  type Spread,
  type StartSpread,
} from './spread';
export { RANGE_DRAWS, rangeOf, rangesOf, type Range } from './range';
export { varied, variedAround, variedBoat } from './vary';
