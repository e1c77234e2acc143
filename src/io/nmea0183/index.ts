export { nmeaImporter } from './importer';
export { readNmea, type NmeaCounts, type NmeaRecord } from './read';
export { feedSentences } from './write';
