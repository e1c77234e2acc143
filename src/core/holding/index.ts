export { leastClearance, noClearance, type Clearance } from './clearance';
export { clearanceMemory, type ClearanceMemory } from './clearance-memory';
export { GROUND, GROUND_COLUMNS, groundAt } from './ground';
export { shapesOf } from './shapes';
export { obstacleSetOf, type ObstacleSet } from './obstacle-set';
export { pileObstacle, solidObstacle, type Obstacle, type Surface } from './obstacles';
export { addBetween, between, setSeen, sideOf, type Between } from './between';
export { addTouch, lookForTouches } from './touch';
export { clearSticks, letSlide } from './touch-stick';
export { LIST, STICK, touchScratch, type TouchScratch } from './touch-pairs';
export { RATES, setTouchRates } from './touch-rate';
export { frictionSlope, seriesStiffness, STICK_SLIP_MPS, withLoss } from './touch-law';
export {
  addLines,
  everyLine,
  carriedOnTurns,
  LINE,
  LINE_COLUMNS,
  linesOf,
  lineTension,
  MADE,
  NO_LINES,
  spanOf,
  strainUnder,
  tensionIn,
  type Lines,
  type LineSpec,
} from './line';
export { ropeFigures, ROPES, usualDiameter, type Rope, type RopeFigures } from './rope';
export { leadOf, STOPS, stopsOf, type Lead, type Stops } from './lead';
export { stoppedBy, type StoppedBy } from './stopping';
export { tendLines } from './tend';
export { SPAN, SPAN_COLUMNS } from './span';
export { anchorHolds, catenary, chainLength, chainReach, chainTension, lyingLength } from './chain';
export { anchorFigures, BOTTOMS, usualAnchor, type Bottom, type AnchorFigures } from './anchor';
