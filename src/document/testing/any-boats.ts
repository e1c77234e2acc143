import { assembleCraft, type Craft } from '@/core/boat';
import type { Kind } from '@/core/trials/behaviours';
import { boatFromOwner, ownerSchema, check, toBoatSpec, toOwnerFigures, type Owner } from '..';
import { FLEET_IDS, fleetCraft, fleetRecord } from './fleet';
import { generatedOwners } from './generated';

/** Every boat behaviours are measured over: the demo fleet, and those drawn through the owner's form. */

export interface AnyBoat {
  readonly id: string;
  readonly about: Kind;
  readonly craft: Craft;
}

/** Quince's figures were set by hand; what its owner would say of it. */
const BY_HAND: Readonly<Record<string, Kind>> = {
  quince: {
    class: 'sailing yacht',
    length: 10.6,
    drive: 'shaft',
    engines: 1,
    blades: '3 fixed',
    keel: 'fin',
    rudders: 1,
  },
};

function ofFleet(id: string): AnyBoat {
  const { owner } = fleetRecord(id);
  const about = owner ? toOwnerFigures(owner) : BY_HAND[id];
  if (!about) throw new Error(`${id} has no owner's figures`);
  return { id, about, craft: fleetCraft(id) };
}

function drawn(id: string, given: Owner): AnyBoat {
  const owner = check<Owner>(ownerSchema, given);
  if (!owner.ok) throw new Error(`${id}: ${JSON.stringify(owner.problems)}`);
  const record = boatFromOwner(owner.value, { id, name: id, kind: owner.value.class, note: '' });
  return { id, about: toOwnerFigures(owner.value), craft: assembleCraft(toBoatSpec(record)) };
}

export const anyBoats = (): AnyBoat[] => [
  ...FLEET_IDS.map(ofFleet),
  ...generatedOwners().map(({ id, owner }) => drawn(id, owner)),
];
