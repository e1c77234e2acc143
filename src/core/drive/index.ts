export { AHEAD_S, lookAhead, type Ahead } from './ahead';
export { cutAt, Drive, LONGEST_DRIVE_S, playRecording } from './drive';
export { DriveTeller, type CueLeft, type DriveNow, type EngineNow, type ThrusterNow } from './now';
export { withSurprises } from './surprises';
export {
  crossing,
  isUnderWay,
  leaving,
  trafficAt,
  trafficGap,
  type Frame,
  type Traffic,
} from './traffic';
export {
  markedFrom,
  transitNow,
  transitsFrom,
  type Fixed,
  type Transit,
  type TransitNow,
} from './transit';
export { trafficOf } from './types';
export type { DriveEnd, Driven, DriveInput, Recording, Surprise, SurpriseKind } from './types';
