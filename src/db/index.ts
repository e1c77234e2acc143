export { beginIn, beginPassageIn } from './begin';
export { keptBoats, type ListedBoat, type OpenedBoat } from './boats';
export { listBackups, type CopyReason } from './copying';
export { databaseIn, freeBytes, PASSING, privateDirectory } from './files';
export { fleetOutlines } from './fleet-outlines';
export { insertTechnique, listTechniques, removeTechnique } from './techniques';

export {
  copyManoeuvre,
  importManoeuvre,
  lastUsed,
  listManoeuvres,
  noteOpened,
  openManoeuvre,
  saveManoeuvre,
  setAside,
  type Listed,
  type Opened,
  type SaveResult,
} from './manoeuvres';
export { keepLastResult, lastResultKept, type KeptResult } from './last-results';
export { DocumentRepository } from './document-repository';
export { dataDirectory, library, openDatabase, openLibrary, type Library } from './open';
export { keptPlaces, type ListedPlace, type OpenedPlace } from './places';
export { keepRecord, listRecords, openRecord, setRecordAside, type ListedRecord } from './records';
export { type Backup } from './rotation';
export { readDemo, readDemoResults, seedDemo } from './seed';
export {
  CURSOR,
  keepRun,
  listRuns,
  openRun,
  saveNotes,
  saveRecording,
  saveSummary,
  setRunAside,
  RUNS_PER_PAGE,
  type ListedRun,
  type OpenedRun,
  type RunPage,
} from './runs';
export { Trouble, troubleOf, type TroubleCode } from './trouble';
