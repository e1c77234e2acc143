import { writeFormats } from './formats';

writeFormats();
