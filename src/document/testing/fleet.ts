import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { assembleCraft, type Craft } from '@/core/boat';
import { boatSchema, check, toBoatSpec, type Boat } from '..';

/** The shipped fleet, for tests over every boat of it. */

const DIRECTORY = join(process.cwd(), 'demo', 'boats');

export const FLEET_IDS = readdirSync(DIRECTORY)
  .filter((name) => name.endsWith('.json'))
  .map((name) => name.replace('.json', ''))
  .sort();

const records = new Map<string, Boat>();

/** A boat of the demo fleet, one's own to change. */
export function fleetRecord(id: string): Boat {
  const known = records.get(id) ?? readRecord(id);
  records.set(id, known);
  return structuredClone(known);
}

function readRecord(id: string): Boat {
  const checked = check<Boat>(
    boatSchema,
    JSON.parse(readFileSync(join(DIRECTORY, `${id}.json`), 'utf8')),
  );
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

export function fleetCraft(id: string, change: (boat: Boat) => void = () => undefined): Craft {
  const boat = structuredClone(fleetRecord(id));
  change(boat);
  return assembleCraft(toBoatSpec(boat));
}
