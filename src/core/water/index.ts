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
