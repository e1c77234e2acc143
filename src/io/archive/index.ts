export { MOST_ARCHIVE_BYTES, readArchive, writeArchive, type ReadArchive } from './archive';
