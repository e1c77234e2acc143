import { z } from 'zod';
import {
  BLADE_KINDS,
  BOAT_CLASSES,
  DRIVE_CHOICES,
  estimateBoat,
  KEEL_KINDS,
  type BoatEstimate,
  type OwnerFigures,
} from '@/core/boat';
import { GRAVITY_MPS2, SEA_WATER_KGPM3 } from '@/core/units';
import { MOST_PUSH } from './boat-sense';
import { oneOf, within } from './fields';

const orNull = <T extends z.ZodType>(schema: T) => schema.nullable().default(null);

function thrustOf(thrusters: BoatEstimate['thrusters'], called: string): number {
  return thrusters.find(({ name }) => name === called)?.thrust ?? 0;
}

/** Power fields that push harder than any craft of the trade, each with the most that would do. */
function tooStrong(o: Owner): { field: string; message: string }[] {
  const weight = MOST_PUSH * GRAVITY_MPS2 * o.displacement_kg;
  const pushOf = {
    power_kW: ({ drives }: BoatEstimate) =>
      drives.reduce((sum, d) => {
        const { diameter: size, bollardRps: rps } = d;
        return sum + SEA_WATER_KGPM3 * d.bollardThrust * size * size * size * size * rps * rps;
      }, 0),
    bowThruster_kW: ({ thrusters }: BoatEstimate) => thrustOf(thrusters, 'bow thruster'),
    sternThruster_kW: ({ thrusters }: BoatEstimate) => thrustOf(thrusters, 'stern thruster'),
  };
  return (Object.keys(pushOf) as (keyof typeof pushOf)[]).flatMap((field) => {
    const strong = (kW: number) =>
      pushOf[field](estimateBoat(toOwnerFigures({ ...o, [field]: kW }))) > weight;
    if (!strong(o[field])) return [];
    let least = 0;
    let most = o[field];
    for (let i = 0; i < 20; i++) {
      const middle = (least + most) / 2;
      if (strong(middle)) most = middle;
      else least = middle;
    }
    const limit = Number(least.toPrecision(2));
    const each = field === 'power_kW' && o.engines > 1 ? ' each' : '';
    return [
      { field, message: `would push with more than the boat’s weight; at most ${limit} kW${each}` },
    ];
  });
}

/** What an owner knows of a boat. Whatever is null is estimated. */
export const ownerSchema = z
  .strictObject({
    class: oneOf(BOAT_CLASSES),
    length_m: within(3, 400, 'm'),
    beam_m: within(0.8, 60, 'm'),
    draught_m: within(0.1, 25, 'm'),
    displacement_kg: within(80, 4e8, 'kg'),
    waterlineLength_m: orNull(within(2, 400, 'm')),
    drive: oneOf(DRIVE_CHOICES),
    engines: z
      .number({ error: 'give 0 to 4 engines' })
      .int({ error: 'give a whole number of engines' })
      .min(0, { error: 'give 0 to 4 engines' })
      .max(4, { error: 'give 0 to 4 engines' }),
    /** Of each engine. */
    power_kW: within(0.5, 60000, 'kW'),
    hand: oneOf(['right', 'left']),
    blades: oneOf(BLADE_KINDS),
    keel: oneOf(KEEL_KINDS),
    rudders: z
      .number({ error: 'give 0, 1 or 2 rudders' })
      .int()
      .min(0, { error: 'give 0, 1 or 2 rudders' })
      .max(2, { error: 'give 0, 1 or 2 rudders' }),
    control: oneOf(['wheel', 'tiller']),
    freeboard_m: within(0.1, 25, 'm'),
    superstructure_m: within(0, 40, 'm'),
    mast_m: within(0, 60, 'm'),
    /** Speed in gear at idle, every engine ahead, m/s. */
    idleSpeed_mps: orNull(within(0.2, 6, 'm/s')),
    /** Of a single screw or leg off the middle, to starboard. */
    screwOffset_m: within(-30, 30, 'm').default(0),
    bowThruster_kW: within(0, 3000, 'kW').default(0),
    sternThruster_kW: within(0, 3000, 'kW').default(0),
    joystick: z.boolean().default(false),
  })
  .superRefine((o, context) => {
    const say = (field: string, message: string) =>
      context.addIssue({ code: 'custom', path: [field], message });
    if (o.beam_m > o.length_m) say('beam_m', 'cannot be more than the length');
    if (o.draught_m > 0.5 * o.length_m) say('draught_m', 'cannot be more than half the length');
    if (o.waterlineLength_m !== null && o.waterlineLength_m > o.length_m)
      say('waterlineLength_m', 'cannot be longer than the boat');
    // More than a solid block of sea water of the boat's length, beam and draught cannot float.
    const block = 1025 * o.length_m * o.beam_m * o.draught_m;
    if (block > 0 && o.displacement_kg > block)
      say(
        'displacement_kg',
        `cannot float: length × beam × draught holds ${Number(block.toPrecision(2))} kg of water`,
      );
    if (o.engines > 0 && o.drive === 'none') say('drive', 'say what the engines drive');
    if (o.screwOffset_m !== 0 && o.engines !== 1)
      say('screwOffset_m', 'is for a boat with one engine; leave it at 0');
    if (o.beam_m > 0 && Math.abs(o.screwOffset_m) > 0.5 * o.beam_m)
      say('screwOffset_m', 'cannot be more than half the beam');
    if (o.engines === 0 && o.drive !== 'none')
      say('engines', "say 'none' as drive, or give engines");
    // Only a boat that is sound so far can be estimated.
    if (context.issues.length > 0) return;
    for (const { field, message } of tooStrong(o)) say(field, message);
  });

export type Owner = z.infer<typeof ownerSchema>;

/** The owner's figures in the core's words. */
export function toOwnerFigures(owner: Owner): OwnerFigures {
  return {
    class: owner.class,
    length: owner.length_m,
    beam: owner.beam_m,
    draught: owner.draught_m,
    displacement: owner.displacement_kg,
    waterlineLength: owner.waterlineLength_m,
    drive: owner.drive,
    engines: owner.engines,
    power: owner.power_kW * 1000,
    hand: owner.hand === 'right' ? 1 : -1,
    blades: owner.blades,
    keel: owner.keel,
    rudders: owner.rudders,
    control: owner.control,
    freeboard: owner.freeboard_m,
    superstructure: owner.superstructure_m,
    mast: owner.mast_m,
    idleSpeed: owner.idleSpeed_mps,
    screwOffset: owner.screwOffset_m,
    bowThruster: owner.bowThruster_kW * 1000,
    sternThruster: owner.sternThruster_kW * 1000,
    joystick: owner.joystick,
  };
}
