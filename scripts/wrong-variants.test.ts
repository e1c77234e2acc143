import { readFileSync } from 'node:fs';
import { WRONG_VARIANTS } from './wrong-variants-list';

it.each(WRONG_VARIANTS.map((v) => [v.name, v] as const))(
  'the list of deliberate mistakes still fits the code: %s',
  (_, { file, find, put }) => {
    // Counted here, so that a failure does not print the file.
    const places = readFileSync(file, 'utf8').split(find).length - 1;
    expect(places).toBe(1);
    expect(put).not.toBe(find);
  },
);
