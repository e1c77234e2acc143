import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import {
  boatSchema,
  drivenFileSchema,
  manoeuvreFileSchema,
  manoeuvreSchema,
  placeSchema,
  recordSchema,
  runFileSchema,
  runSummarySchema,
  spreadSchema,
} from '@/document';

/** JSON Schemas of the open formats, made from the schemas the program itself checks with. */
export const FORMATS: Readonly<Record<string, z.ZodType>> = {
  boat: boatSchema,
  place: placeSchema,
  manoeuvre: manoeuvreSchema,
  'manoeuvre-file': manoeuvreFileSchema,
  driven: drivenFileSchema,
  record: recordSchema,
  run: runFileSchema,
  'run-summary': runSummarySchema,
  spread: spreadSchema,
};

export function formatText(name: string): string {
  return `${JSON.stringify(z.toJSONSchema(FORMATS[name]!, { io: 'input' }), null, 2)}\n`;
}

export function formatPath(name: string): string {
  return join(process.cwd(), 'docs', 'formats', `${name}.schema.json`);
}

export function writeFormats(): void {
  for (const name of Object.keys(FORMATS)) writeFileSync(formatPath(name), formatText(name));
}
