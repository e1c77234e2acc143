export { BASES, BOAT_SCHEMA, boatSchema, type Boat } from './boat';
export { knownOfBoat } from './known';
export { basisFor, isPlace } from './boat-basis';
export { boatFromOwner } from './boat-estimate';
export { BOAT_MIGRATIONS, BOAT_VERSION, migrateBoat } from './boat-migrations';
export { boatWarnings } from './boat-warnings';
export { ownerSchema, toOwnerFigures, type Owner } from './owner';
export { halfBreadth, namedPoints, toBoatSpec, wholeOutline, withFenders } from './boat-spec';
export {
  conditionsSchema,
  MOST_DEPTH_M,
  MOST_CURRENT_MPS,
  MOST_WIND_MPS,
  toWeather,
  type Conditions,
} from './conditions';
export { withBoat } from './change-boat';
export { berthOf } from './berth-of';
export { workedLocks } from './worked-locks';
export { jobOf, type Job } from './job-of';
export { lastResultOf, lastResultSchema, type LastResult } from './last-result';
export { anchorMassOf, boatOfLine, breakingLoads, diameterOf, lineFigures } from './rigging-input';
export {
  freshOther,
  lineEndsAtStart,
  marksAtStart,
  nameAboard,
  othersSchema,
  placeOf,
  type Around,
  type Other,
} from './others';
export {
  crewSchema,
  hungSchema,
  linesSchema,
  MOST_LINE_M,
  motoredSchema,
  type LineDocument,
  type PersonDocument,
} from './rigging';
export { degrees, id as idSchema, plainText, radians, SIDES, type Side, oneOf } from './fields';
export {
  DRIVEN_SCHEMA,
  drivenFileSchema,
  drivenShellSchema,
  recordingSchema,
  surpriseSchema,
  runNoteSchema,
  runNotesSchema,
  toDrive,
  toDriveOrder,
  toRecording,
  trafficDocument,
  type DriveFrom,
  type DriveInputDocument,
  type DrivenFile,
  type RecordingDocument,
  type SurpriseDocument,
  type RunNote,
} from './driven';
export { DRIVEN_VERSION } from './recording-migrations';
export { MANOEUVRE_VERSION } from './manoeuvre-migrations';
export { PLACE_VERSION } from './place-migrations';
export { RUN_SCHEMA } from './run-migrations';
export {
  MOST_LIMIT_S,
  MANOEUVRE_SCHEMA,
  manoeuvreFileSchema,
  manoeuvreSchema,
  toFile,
  type GoalDocument,
  type Manoeuvre,
  type ManoeuvreFile,
  type Ticked,
} from './manoeuvre';
export {
  endTo,
  fixedPoints,
  lineEnds,
  markedTransits,
  namedMarks,
  MOST_FEATURES,
  PLACE_SCHEMA,
  placeSchema,
  toObstacles,
  type Berth,
  type Place,
} from './place';
export {
  locksByTide,
  locksOfPlace,
  standingLevel,
  usualWater,
  type LockByTide,
} from './lock-sites';
export {
  check,
  failure,
  pathText,
  problemLines,
  success,
  type Problem,
  type Result,
} from './result';
export { definitionOf, FEATURES, type Feature, type FeatureKind, type FeatureOf } from './features';
export { keyOf } from './plan-codec';
export { prepareRun, toRunInput, type PreparedRun } from './run-input';
export {
  stepSchema,
  MOST_CLEARANCE_M,
  MOST_CUE_DISTANCE_M,
  MOST_CUE_SPEED_MPS,
  MOST_RUDDER_DEG,
  MOST_TURN_DEG,
  cueSchema,
  expectationSchema,
  orderSchema,
  planSchema,
  simpleCueSchema,
  wayOutSchema,
  type StepDocument,
  type CueDocument,
  type ExpectationDocument,
  type OrderDocument,
  type PlanDocument,
  type SimpleCue,
} from './plan';
export {
  NO_VARIATION,
  toVariation,
  variationSchema,
  windsSchema,
  type VariationDocument,
  type Winds,
} from './variation';
export {
  summarise,
  runFileSchema,
  runSummarySchema,
  toRunFile,
  type RunFile,
  type RunSummary,
} from './run';
export {
  AREAS,
  areaSchema,
  bottomOfPlace,
  bridgesOf,
  isAreaKind,
  type Area,
  type AreaKind,
  type AreaOf,
} from './areas';
export type { PlaceTransit } from './transit';
export {
  instantOf,
  instantSchema,
  meanLevel,
  secondsOf,
  tideAt,
  tideSchema,
  toTide,
  zoneSchema,
  type TideDocument,
} from './tide';
export {
  MOST_FIXES,
  RECORD_SCHEMA,
  recordSchema,
  toFixes,
  type FixDocument,
  type RecordDocument,
} from './record';
export { conditionsAt, daySchema, hourAt, type Day, type DayHour } from './day';
export {
  lockWorkingSchema,
  siteLock,
  toLock,
  usualLock,
  type LockOfPlace,
  type LockWorking,
} from './lock';
export { underLock } from './staircase';
export { lockingSchema, type Locking } from './locking';
export { parseJson } from './json';
export { clearWidth, fingerRow, fingerRowSchema, slipsOf, type FingerRow } from './finger-row';
export { mooredOutline, toCentimetres } from './moored';
export {
  LIBRARY_PARTS,
  LIBRARY_SCHEMAS,
  archiveStandingSchema,
  backupContentsSchema,
  libraryRunSchema,
  progressSchema,
  type ArchiveStanding,
  type BackupContents,
  type Progress,
  type LibraryContents,
  type LibraryPart,
  type LibraryRun,
} from './library';
export { idFrom } from './fields';
export { ownTechniqueSchema, type OwnTechnique } from './technique';
export { spreadSchema, toSpread, type SpreadDocument } from './spread';
