export {
  MOST_CHARACTERS,
  parseJson,
  readEither,
  readManoeuvreFile,
  type EitherManoeuvre,
} from './read';
