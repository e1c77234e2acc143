export { LIMITS as ARCHIVE_LIMITS } from './format';
export { openArchive, type ArchiveItem, type OpenArchive } from './read';
export { writeArchive, type ArchiveEntry } from './write';
