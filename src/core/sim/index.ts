export {
  actuatorStages,
  advanceActuators,
  orderEngine,
  orderRudder,
  timeToActuatorEvent,
  type ActuatorStages,
} from './actuators';
export {
  accelerate,
  derivative,
  lookAround,
  makeScratch,
  type Scratch,
  type World,
} from './derivative';
export { environmentFor, type Environment, type Weather } from './environment';
export { groundSpeed, pointOnWater, waterSpeed } from './readings';
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
  type SimState,
  type StartPose,
} from './state';
export { dragSubsteps, step, STEP_S, touchSubsteps, type TouchWatch } from './step';
export { SAMPLE_S, TRACE_COLUMNS, TraceWriter, type Trace, type TraceColumn } from './trace';
