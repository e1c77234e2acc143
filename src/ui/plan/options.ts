import type { ChoiceOption } from '../parts/Choice';

/** Choices of a part of a step: names as they are, or values in other words. */
export const named = (values: readonly string[]): ChoiceOption<string>[] =>
  values.map((value) => ({ value, text: value }));

export const worded = <T extends string>(
  words: Readonly<Record<T, string>>,
): readonly ChoiceOption<string>[] =>
  Object.entries<string>(words).map(([value, text]) => ({ value, text }));

export const SIDES = named(['port', 'starboard']);
export const GEARS = named(['ahead', 'neutral', 'astern']);
export const SPEEDS_OVER = worded({ water: 'through the water', ground: 'over ground' });
