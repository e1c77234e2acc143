export {
  actuatorStages,
  advanceActuators,
  orderEngine,
  orderRudder,
  orderThruster,
  timeToActuatorEvent,
  type ActuatorStages,
  RUN_DOWN_SHARE,
} from './actuators';
export { accelerate } from './accelerate';
export {
  depthThere,
  leastUnder,
  sounded,
  soundKeel,
  standsAt,
  type Depths,
  type LocksNow,
} from './aground';
export { derivative, lookAround, placeOnGround } from './derivative';
export { depthAt, environmentFor, windAt, type Environment, type Weather } from './environment';
export {
  advanceLocks,
  draughtOverCill,
  floatsAt,
  locksThere,
  lyingIn,
  setLeaves,
} from './locks-now';
export { lockRecorded, type LockRecorded } from './locks-record';
export type { Told } from './world';
export type { HandWorker } from './state';
export { apart, throttleFor } from './kick';
export { roomAhead } from './room-ahead';
export { HELM_PERIOD_S, keepLine, steerFor, steerHeading } from './helm';
export { motorOnLine } from './spring-hand';
export { pushTo } from './stick-hand';
export { stopAbreastOf } from './stopping-hand';
export { HAND_PERIOD_S, keepWayOn } from './throttle-hand';
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
  copyAround,
  copyState,
  initialState,
  PSI,
  R,
  U,
  V,
  WORKER_FIGURES,
  X,
  Y,
  type EngineState,
  type Gear,
  type JoystickState,
  type SimState,
  type StartPose,
  type ThrusterState,
} from './state';
export { timestep, TIMESTEP_S } from './timestep';
export { forkOf, Simulation } from './simulation';
export { companyOf, onOf, stepTogether, type Company, type Pair } from './company';
export { senseSurroundings } from './surroundings';
export { setCurrent } from './turn-current';
export {
  COLUMN_NAMES,
  columnsIn,
  MOST_LINES,
  MOST_LOCKS,
  MOST_OTHERS,
  MOST_PADDLES,
  namedColumns,
  SAMPLE_S,
  traceOf,
  type OwnColumn,
  type PoseColumns,
  type Trace,
} from './columns';
export { sampleBefore, TraceWriter } from './trace';
export { AGAIN, CLOCK, NOW, NOW_COLUMNS, UNDER } from './scratch';
export { vesselOf, type TouchWatch, type Vessel } from './vessel';
export {
  beginning,
  copyOf,
  othersOf,
  type Bridge,
  type Ladder,
  type LocksThere,
  type LineAt,
  type OtherBoat,
  type World,
} from './world';
