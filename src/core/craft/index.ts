export type {
  BoatSpec,
  FenderSpec,
  FoilSpec,
  HullSpec,
  NamedPoint,
  RudderSpec,
  ShaftSpec,
  SteeringSpec,
  WindageSpec,
} from './spec';
export { fenderForce } from './fender-law';
export { assembleFoil, liftSlope, type Foil } from './foil';
export { massFromMatrix, massProperties, type MassProperties } from './mass';
export { type TouchElements } from './touch-elements';
export { assembleCraft, draughtAt, STRIP_COUNT, type Craft } from './assemble';
export type { RaceOnRudder, Rudder, Shaft, Strips } from './parts';
export { dragRates, type DragRates } from './stiffness';
