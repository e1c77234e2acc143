export {
  chamberArea,
  copyLock,
  copyLockOver,
  ENDS,
  gatesOf,
  LEAF,
  leafSides,
  lockAtRest,
  SIDES,
  standingOpen,
  type End,
  type Fed,
  type Gates,
  type Lock,
  type LockState,
  type Paddle,
  type Pound,
  type LockSide,
} from './lock';
export {
  headAt,
  isShut,
  LOCK_STEP_S,
  MADE_M,
  orderLock,
  timeToMake,
  volumeOf,
  workLock,
  type LockOrder,
  type LockRefusal,
} from './work';
export {
  hangUps,
  overCill,
  pullOnBoat,
  risesBy,
  timeLeft,
  type HangUp,
  type LockedBoat,
} from './boat-in-lock';
export {
  fitIn,
  gentlest,
  lineLength,
  swingRoom,
  simulateFill,
  type Fit,
  type LevelChange,
} from './brief';
export { lockOutlook, type LevelNow, type LockOutlook } from './outlook';
export { passageTimes, type PassageAsked, type PassageTimes } from './passage-times';
export { leafOutline, leavesOf, type Leaf } from './leaves';
export {
  addLockCurrent,
  addNeighbour,
  bedOfLock,
  copyLocksOver,
  flows,
  inChamber,
  IN_LOCK,
  intoLock,
  levelThere,
  nearestLock,
  outOfLock,
  pushInLock,
  standsAlong,
  weightOf,
  workLocks,
  type LockPush,
  type SitedLock,
} from './sited';
export {
  landingsOf,
  spotAt,
  spotOf,
  wayOnFoot,
  type Bridging,
  type Landings,
  type Spot,
} from './on-foot';
export { roomUnder, type RoomUnder } from './overhead';
export { sharing, type Goer, type Sharing } from './sharing';
export { feed, joined, stepsDown } from './staircase';
export { stairOrder, type Meeting, type StairOrder } from './stair-order';
export { tideWindows, type LevelAt, type Stretch } from './tide-window';
