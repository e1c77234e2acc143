import { chosen } from '@/core/testing/sweep';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  boatSchema,
  check,
  manoeuvreSchema,
  placeSchema,
  toFile,
  type LastResult,
  type ManoeuvreFile,
  type Result,
} from '..';
import type { DemoFingerprints } from './demo-runs';

/** The shipped demo data, for tests. */

function value<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value;
}

export function demoJson(kind: 'boats' | 'places' | 'manoeuvres', id: string): unknown {
  return JSON.parse(readFileSync(join(process.cwd(), 'demo', kind, `${id}.json`), 'utf8'));
}

export const DEMO_MANOEUVRES = readdirSync(join(process.cwd(), 'demo', 'manoeuvres'))
  .map((name) => name.replace('.json', ''))
  .sort();

/**
 * One demo of every class: a shaft and a blade alongside, an outboard, outdrives with a joystick, lines, an anchor, a
 * raft of boats that give way, a tide, a buoy, and a lock.
 */
export const DEMO_CLASSES = [
  'alongside-wind-off',
  'tender-out-of-the-gap',
  'four-engines-sideways',
  'sprung-off-the-pontoon',
  'stern-to-on-her-own-anchor',
  'rafted-up-to-wicket',
  'under-sallow-bridge',
  'a-buoy-against-the-stream',
  'nell-down-cobnut-lock',
] as const;

/** Every demo in a sweep, one of every class otherwise. */
export const SOME_DEMOS = chosen(DEMO_MANOEUVRES, DEMO_CLASSES);

const files = new Map<string, ManoeuvreFile>();

/** A demo manoeuvre with its boat and place, one's own to change. */
export function demoFile(id: string): ManoeuvreFile {
  const known = files.get(id) ?? readDemoFile(id);
  files.set(id, known);
  return structuredClone(known);
}

function readDemoFile(id: string): ManoeuvreFile {
  const manoeuvre = value(check(manoeuvreSchema, demoJson('manoeuvres', id)));
  const boat = value(check(boatSchema, demoJson('boats', manoeuvre.boatId)));
  const place = value(check(placeSchema, demoJson('places', manoeuvre.placeId)));
  return toFile(manoeuvre, boat, place);
}

/** Where what every demo's run came to is written down; `npm run fingerprints` writes it anew. */
export const FINGERPRINTS = join('src', 'document', 'testing', 'fingerprints.json');

export const knownFingerprints = (): Readonly<Record<string, DemoFingerprints>> =>
  JSON.parse(readFileSync(join(process.cwd(), FINGERPRINTS), 'utf8')) as Readonly<
    Record<string, DemoFingerprints>
  >;

/** What each demo came to as it is shipped. */
export const demoResults = (): Readonly<Record<string, LastResult>> =>
  JSON.parse(readFileSync(join(process.cwd(), 'demo', 'results.json'), 'utf8')) as Readonly<
    Record<string, LastResult>
  >;
