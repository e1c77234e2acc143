export {
  actuatorStages,
  advanceActuators,
  orderEngine,
  orderRudder,
  orderThruster,
  timeToActuatorEvent,
  type ActuatorStages,
} from './actuators';
export { accelerate } from './accelerate';
export { derivative, lookAround, placeOnGround } from './derivative';
export { depthAt, environmentFor, windAt, type Environment, type Weather } from './environment';
export { HELM_PERIOD_S, steerFor, steerHeading } from './helm';
export { JOYSTICK_PERIOD_S, joystickEffectors, releaseJoystick } from './joystick';
export {
  boatOf,
  boatOn,
  lineAt,
  lineColumn,
  lineCount,
  lineEnd,
  lineLimits,
  lineNow,
  setLineColumn,
  takeLineOff,
  tensionOf,
} from './lines-now';
export { Ledger, WORKS, type Work } from './ledger';
export {
  groundOf,
  groundSpeed,
  kineticEnergy,
  pointAboard,
  pointOnWater,
  setRow,
  waterSpeed,
} from './readings';
export {
  copyState,
  initialState,
  PSI,
  R,
  U,
  V,
  X,
  Y,
  type EngineState,
  type Gear,
  type JoystickState,
  type SimState,
  type StartPose,
  type ThrusterState,
} from './state';
export { step, STEP_S } from './step';
export { advance, companyOf, lookAbout, onOf, stepTogether } from './together';
export { senseSurroundings } from './surroundings';
export { setStream } from './turn-stream';
export {
  engineColumn,
  MORE_COLUMNS,
  MOST_LINES,
  MOST_OTHERS,
  otherColumns,
  SAMPLE_S,
  TRACE_COLUMNS,
  TraceWriter,
  type MoreColumn,
  type Trace,
  type TraceColumn,
} from './trace';
export {
  beginning,
  CLOCK,
  makeScratch,
  NOW,
  NOW_COLUMNS,
  othersOf,
  type Company,
  type LineAt,
  type OtherBoat,
  type Party,
  type Scratch,
  type TouchWatch,
  type World,
} from './world';
