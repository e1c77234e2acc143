export { shapeAt, type HullShape, halfBreadthAt } from './hull-shape';
export type {
  BoatSpec,
  DriveSpec,
  FenderSpec,
  FoilSpec,
  HullSpec,
  NamedPoint,
  RudderSpec,
  SteeringSpec,
  ThrusterSpec,
  WindageSpec,
} from './spec';
export type { ShipDerivatives } from './ship-derivatives';
export { fenderForce, fenderStiffness } from './fender-law';
export { foilRow, liftSlope } from './foil';
export { MASS, massFromMatrix, massProperties, massRow, type MassProperties } from './mass';
export { type TouchElements } from './touch-elements';
export { assembleCraft, type Craft } from './assemble';
export {
  draughtAt,
  FRICTION_STEP_MPS,
  frictionCoefficient,
  hullMiddles,
  lateralArea,
  STRIP_COUNT,
  type Strips,
} from './hull-rows';
export { KEEL, KEEL_COLUMNS } from './keel';
export { zeroThrustAdvance } from './drive-rows';
export { PROPULSOR_KINDS, propulsorOf } from './propulsors';
export {
  BLADE,
  BLADE_COLUMNS,
  DRIVE,
  DRIVE_COLUMNS,
  FOIL,
  FOIL_COLUMNS,
  HULL,
  HULL_COLUMNS,
  THRUSTER,
  THRUSTER_COLUMNS,
  WINDAGE,
  type Rows,
} from './rows';
export { dragRates, type DragRates } from './stiffness';
export {
  BLADE_KINDS,
  BOAT_CLASSES,
  DRIVE_CHOICES,
  estimateBoat,
  KEEL_KINDS,
  type Basis,
  type BoatClass,
  type BoatEstimate,
  type OwnerFigures,
} from './estimate';
export { MOMENTS } from './hull-rows';
export { windShareAt } from './wind-profile';
export { raceLeftAside, rudderRow } from './drive-rows';
