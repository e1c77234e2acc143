import type { Importer } from '../importer';
import { MOST_NMEA, readNmea, type NmeaRecord } from './read';

export const nmeaImporter: Importer<NmeaRecord> = {
  id: 'nmea0183',
  accept: ['.nmea', '.txt', '.log', '.nme', 'text/plain'],
  most: MOST_NMEA,
  sniff: (text) => /^[!$][A-Z]/m.test(text),
  read: (text) => readNmea(text),
};
