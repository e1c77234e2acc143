export { bottomOf, DEEP_M, depthOver, type Bottom, type DepthArea, type Sounding } from './bottom';
export { limitFroude, limitSpeed, returnFlow, squat, type ReturnFlow } from './confined';
export { bridgeClearance, cosineTide, twelfths, underKeel } from './level';
export {
  setStrength,
  STREAM,
  STREAM_COLUMNS,
  streamAt,
  streamField,
  type StreamField,
  type StreamPattern,
} from './stream';
export {
  tidalStream,
  tideLevel,
  turnsBetween,
  type Harmonic,
  type HourStream,
  type Stream,
  type Tide,
  type Turn,
} from './tide';
export { CONSTITUENT_NAMES, type ConstituentName } from './constituents';
