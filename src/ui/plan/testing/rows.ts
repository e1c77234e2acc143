import type { FirstNames } from '../part-values';

export const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;

/** Where nothing has a name yet. */
export const FIRST: FirstNames = {
  thruster: '',
  line: '',
  rope: '',
  anchor: '',
  person: '',
  boat: '',
  lock: '',
  paddle: '',
  mark: '',
  point: '',
  anyPoint: '',
  lineEnd: '',
};
