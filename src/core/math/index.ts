export {
  atan2,
  cos,
  cubeRoot,
  exp,
  log,
  power,
  sin,
  sineCosine,
  TURN,
  TURN_COLUMNS,
} from './elementary';
export { wrapHalfTurn, wrapTurn } from './angles';
export { alongLeg, legOf } from './leg';
export { Random } from './random';
export { everyEdge, NEAREST, NEAREST_COLUMNS, nearestOnRing } from './ring';
export { seriesAt, type Series } from './series';
export {
  crossesItself,
  isInside,
  lineCrosses,
  nearestOnPolygon,
  signedArea,
  type FlatPoints,
  type Nearest,
} from './polygon';
export { bisect, bisected, rootBetween, type Seeking } from './root';
export { rayTo } from './ray';
