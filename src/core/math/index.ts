export { atan2, cos, exp, log, power, sin } from './elementary';
export { wrapHalfTurn, wrapTurn } from './angles';
export {
  crossesItself,
  nearestOnPolygon,
  signedArea,
  type FlatPoints,
  type Nearest,
} from './polygon';
