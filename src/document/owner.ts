import { z } from 'zod';
import {
  BLADE_KINDS,
  BOAT_CLASSES,
  DRIVE_CHOICES,
  KEEL_KINDS,
  type OwnerFigures,
} from '@/core/craft';
import { within } from './fields';

const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `say one of: ${values.join(', ')}` });

const orNull = <T extends z.ZodType>(schema: T) => schema.nullable().default(null);

/** Engines over weight, a coarse guard and our own assumption; the record's own check of thrust is the finer one. */
const MOST_KW_PER_TONNE = 200;

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
    // More than a solid block of sea water of her length, beam and draught cannot float.
    const block = 1025 * o.length_m * o.beam_m * o.draught_m;
    if (block > 0 && o.displacement_kg > block)
      say(
        'displacement_kg',
        `cannot float: length × beam × draught holds ${Number(block.toPrecision(2))} kg of water`,
      );
    const most = (MOST_KW_PER_TONNE * o.displacement_kg) / 1000;
    if (o.engines > 0 && most > 0 && o.engines * o.power_kW > most)
      say(
        'power_kW',
        `is too much for her weight: at most ${Number((most / o.engines).toPrecision(2))} kW each`,
      );
    if (o.engines > 0 && o.drive === 'none') say('drive', 'say what the engines drive');
    if (o.engines === 0 && o.drive !== 'none')
      say('engines', "say 'none' as drive, or give engines");
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
    bowThruster: owner.bowThruster_kW * 1000,
    sternThruster: owner.sternThruster_kW * 1000,
    joystick: owner.joystick,
  };
}
