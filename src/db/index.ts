export { contentsOf, mergeArchive, replaceAll, standingOf, type Standing } from './archive';
export { backUp, keepBackups, listBackups, restoreBackup, type Backup } from './backup';
export { beginIn, beginPassageIn } from './begin';
export { keptBoats, type ListedBoat, type OpenedBoat } from './boats';
export { fleetOutlines } from './fleet-outlines';
export { insertFigure, listFigures, removeFigure } from './figures';
export {
  copyManoeuvre,
  importManoeuvre,
  listManoeuvres,
  noteOpened,
  openManoeuvre,
  saveManoeuvre,
  setAside,
  type Listed,
  type Opened,
  type SaveResult,
} from './manoeuvres';
export { Kept } from './kept';
export { dataDirectory, library, openLibrary, type Library } from './open';
export { keptPlaces, type ListedPlace, type OpenedPlace } from './places';
export { keepRecord, listRecords, openRecord, setRecordAside, type ListedRecord } from './records';
export { readDemo, seedDemo } from './seed';
export {
  keepTake,
  listTakes,
  openTake,
  saveNotes,
  saveRecording,
  setTakeAside,
  type ListedTake,
  type OpenedTake,
} from './takes';
