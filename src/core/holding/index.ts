export { leastClearance, noClearance, type Clearance } from './clearance';
export { boxDistance, pileObstacle, solidObstacle, type Obstacle, type Surface } from './obstacles';
export {
  addTouch,
  findPairs,
  HULL_SIDE,
  touchScratch,
  type BoatMotion,
  type TouchScratch,
} from './touch';
export { fenderForce, frictionForce, seriesStiffness, withLoss } from './touch-law';
