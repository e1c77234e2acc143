export { MOST_CHARACTERS, readEither, readManoeuvreFile, type EitherManoeuvre } from './read';
