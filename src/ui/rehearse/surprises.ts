import { Random } from '@/core/math';
import type { Boat, ManoeuvreFile, SurpriseDocument } from '@/document';

export type SurpriseIs = SurpriseDocument['is'];

/** Surprises in words, before they have come. */
export const SURPRISE_WORDS: Readonly<Record<SurpriseIs, string>> = {
  gust: 'a gust',
  veer: 'the wind veers or backs',
  stream: 'the stream turns',
  noAstern: 'a gear will not go astern',
  thrusterQuits: 'a thruster quits',
  joystickFails: 'the joystick fails',
  lineLate: 'hands are late with a line',
  lineMissed: 'a line is missed',
};

/** Those that can befall this boat on this manoeuvre. */
export function possibleSurprises({ boat, score }: ManoeuvreFile): SurpriseIs[] {
  const rigged = score.lines.some(({ of, anchor }) => of === undefined && !anchor);
  return [
    'gust',
    'veer',
    'stream',
    ...(boat.drives.length > 0 ? (['noAstern'] as const) : []),
    ...(boat.thrusters.length > 0 ? (['thrusterQuits'] as const) : []),
    ...(boat.joystick ? (['joystickFails'] as const) : []),
    ...(rigged ? (['lineLate', 'lineMissed'] as const) : []),
  ];
}

const one = <T>(random: Random, list: readonly T[]): T =>
  list[Math.min(list.length - 1, Math.floor(random.uniform() * list.length))]!;
const between = (random: Random, least: number, most: number, digits = 1) =>
  Number((least + random.uniform() * (most - least)).toFixed(digits));

/** One of a kind, of a size and at a moment that chance has chosen. Sizes are what befalls people: judgement. */
function made(is: SurpriseIs, at_s: number, random: Random, boat: Boat): SurpriseDocument {
  switch (is) {
    case 'gust':
      return { is, at_s, by: between(random, 0.4, 1, 2), lasts_s: between(random, 5, 15) };
    case 'veer': {
      const by_deg = between(random, 20, 50, 0) * (random.uniform() < 0.5 ? -1 : 1);
      return { is, at_s, by_deg };
    }
    case 'stream':
      return {
        is,
        at_s,
        set_deg: between(random, 0, 359, 0),
        speed_mps: between(random, 0.15, 0.5, 2),
        over_s: between(random, 15, 40, 0),
      };
    case 'noAstern':
      return { is, at_s, engine: one(random, boat.drives).name };
    case 'thrusterQuits':
      return { is, at_s, thruster: one(random, boat.thrusters).name };
    case 'joystickFails':
      return { is, at_s };
    case 'lineLate':
      return { is, at_s, by_s: between(random, 5, 12, 0) };
    case 'lineMissed':
      return { is, at_s };
  }
}

/**
 * Surprises of the kinds chosen, at moments chance chooses within a manoeuvre's length; the same for the same seed.
 * What may befall more than once in a day does so once here.
 *
 * @param length how long the manoeuvre takes as it is written, s
 */
export function surprisesOf(
  kinds: readonly SurpriseIs[],
  seed: number,
  length: number,
  file: ManoeuvreFile,
): SurpriseDocument[] {
  const random = new Random(seed);
  return kinds
    .map((is) => made(is, between(random, 0.1 * length, 0.8 * length), random, file.boat))
    .sort((a, b) => a.at_s - b.at_s);
}

/** Any of those that are possible: one or two, by chance. */
export function anySurprises(
  seed: number,
  length: number,
  file: ManoeuvreFile,
): SurpriseDocument[] {
  const random = new Random(seed);
  const possible = possibleSurprises(file);
  const first = one(random, possible);
  const rest = possible.filter((is) => is !== first);
  const kinds = random.uniform() < 0.5 || rest.length === 0 ? [first] : [first, one(random, rest)];
  return surprisesOf(kinds, seed + 1, length, file);
}
