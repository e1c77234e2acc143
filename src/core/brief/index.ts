export { type CarryHere, type StopHere, type TurnHere } from './able';
export { abreastOf, type Abreast } from './abreast';
export { approachSpeeds, type SpeedAt } from './approach';
export { briefOf, type Able, type Brief, type Lying } from './brief';
export { ferryGlide, firstOrderTurn, rateOnCircle, wheelOver, type FerryGlide } from './kinematics';
export type { Leg, LeeSide } from './legs';
export { letGoAt, pushAt, type LetGo, type OnHer, type Push } from './push';
export { sidesOf, type ForSide } from './which-side';
export { cautionsFor, READY_ITEMS, readyFor, type Caution, type ReadyItem } from './ready';
