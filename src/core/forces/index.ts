export { addCrossFlow } from './cross-flow';
export { addFoil, foilForce } from './foil';
export { resistance } from './hull-resistance';
export { addPropWalk } from './prop-walk';
export { addThrust, propellerFlow, type PropellerFlow } from './propeller';
export { raceAtBlade, signedRoot, type RaceAtBlade } from './race';
export { addRudder } from './rudder';
export { addWind, WIND_REFERENCE_HEIGHT_M, windShareAt } from './wind';
