export { beginIn, listPlaces } from './begin';
export {
  insertBoat,
  listBoats,
  openBoat,
  saveBoat,
  setBoatAside,
  type ListedBoat,
  type OpenedBoat,
  type SavedBoat,
} from './boats';
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
export { dataDirectory, library, openLibrary, type Library } from './open';
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
