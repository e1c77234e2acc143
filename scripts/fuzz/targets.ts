import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { runPlan } from '@/core/plan';
import { namedColumns } from '@/core/simulation';
import {
  boatSchema,
  check,
  drivenFileSchema,
  manoeuvreFileSchema,
  ownTechniqueSchema,
  parseJson,
  placeSchema,
  recordSchema,
  toBoatSpec,
  toDrive,
  toRunInput,
  type Boat,
  type DrivenFile,
  type ManoeuvreFile,
} from '@/document';
import { openArchive } from '@/io/archive';
import { readPlaceGeoJson } from '@/io/geojson';
import { readGpx } from '@/io/gpx';
import { readNmea } from '@/io/nmea0183';
import { demoFile } from '@/document/testing/demo';

/** What spoilt input is given to. Each says whether it took it; it may refuse anything, and throw nothing. */

const MOST = 8_000_000;

function json(text: string): unknown {
  const read = parseJson(text, MOST);
  return read.ok ? read.value : undefined;
}

/** A manoeuvre that is sound runs to an end, with numbers all the way. */
function played(text: string): boolean {
  const file = check<ManoeuvreFile>(manoeuvreFileSchema, json(text));
  if (!file.ok) return false;
  const input = toRunInput({ ...file.value, limit_s: Math.min(40, file.value.limit_s) });
  if (!input.ok) return false;
  const { trace } = runPlan(input.value);
  for (const [name, column] of Object.entries(namedColumns(trace)))
    if (name !== 'clearance' && !column.every(Number.isFinite))
      throw new Error(`${name} is not finite`);
  return true;
}

const { place } = demoFile('under-sallow-bridge');

export const TARGETS = {
  boat: (text: string) => {
    const boat = check<Boat>(boatSchema, json(text));
    if (boat.ok) toBoatSpec(boat.value);
    return boat.ok;
  },
  place: (text: string) => check(placeSchema, json(text)).ok,
  manoeuvre: (text: string) => {
    const file = check<ManoeuvreFile>(manoeuvreFileSchema, json(text));
    return file.ok && toRunInput(file.value).ok;
  },
  driven: (text: string) => {
    const file = check<DrivenFile>(drivenFileSchema, json(text));
    return file.ok && toDrive(file.value).ok;
  },
  record: (text: string) => check(recordSchema, json(text)).ok,
  technique: (text: string) => check(ownTechniqueSchema, json(text)).ok,
  geojson: (text: string) => readPlaceGeoJson(text, 'fuzz').ok,
  gpx: (text: string) => readGpx(text, 'fuzz', place).ok,
  nmea: (text: string) => readNmea(text).ok,
  /** The archive's bytes, base64. */
  archive: async (text: string) => {
    const folder = mkdtempSync(join(tmpdir(), 'yawtrope-fuzz-'));
    try {
      const file = join(folder, 'a.zip');
      writeFileSync(file, Buffer.from(text, 'base64'));
      const opened = await openArchive(file);
      if (!opened.ok) return false;
      for await (const item of opened.value.items()) if (!item.ok) return false;
      opened.value.close();
      return true;
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  },
  run: played,
} as const;

export type Target = keyof typeof TARGETS;

/** Longer than this is a find too, ms. */
export const SLOW_MS: Readonly<Record<Target, number>> = {
  boat: 1000,
  place: 1000,
  manoeuvre: 1500,
  driven: 1500,
  record: 1000,
  technique: 1000,
  geojson: 1000,
  gpx: 1000,
  nmea: 1500,
  archive: 3000,
  run: 30_000,
};
