import { readFileSync } from 'node:fs';
import { WRONG_VARIANTS } from './wrong-variants-list';

it.each(WRONG_VARIANTS.map((v) => [v.name, v] as const))(
  'the list of deliberate mistakes still fits the code: %s',
  (_, { file, find, put }) => {
    expect(readFileSync(file, 'utf8').split(find)).toHaveLength(2);
    expect(put).not.toBe(find);
  },
);
