export { MOST_NMEA, readNmea, type NmeaCounts, type NmeaRecord } from './read';
export { feedSentences } from './write';
