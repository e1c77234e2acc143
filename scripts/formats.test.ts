import { existsSync, readFileSync } from 'node:fs';
import { FORMATS, formatPath, formatText } from './formats';

it.each(Object.keys(FORMATS))('docs/formats describes %s as the program checks it', (name) => {
  // Out of date? Run: npm run formats
  expect(existsSync(formatPath(name)) && readFileSync(formatPath(name), 'utf8')).toBe(
    formatText(name),
  );
});
