import { z } from 'zod';
import type { Variation } from '@/core/search';
import { radians, within } from './fields';

/** What a what-if changes, as a page hands it over: nothing is kept. Defaults change nothing. */
export const variationSchema = z.strictObject({
  /** Wind's speed times this, and veered clockwise. */
  windTimes: within(0, 10).default(1),
  windVeer_deg: within(-180, 180, 'degrees').default(0),
  /** Standard deviation of gusts over mean; null leaves them as they are. */
  gusts: within(0, 0.5).nullable().default(null),
  currentBy_mps: within(-4, 4, 'm/s').default(0),
  entryBy_mps: within(-3, 3, 'm/s').default(0),
  late_s: within(0, 30, 's').default(0),
  asternTimes: within(0, 2).default(1),
  /** Water of worked locks: what it does to the boat's times this. */
  waterTimes: within(0, 3).default(1),
  otherHand: z.boolean().default(false),
  /** Wind from the other side of the berth. */
  otherSide: z.boolean().default(false),
});
export type VariationDocument = z.infer<typeof variationSchema>;

/** A variation that changes nothing. */
export const NO_VARIATION: VariationDocument = variationSchema.parse({});

export function toVariation(document: VariationDocument): Variation {
  return {
    windTimes: document.windTimes,
    windVeer: radians(document.windVeer_deg),
    gusts: document.gusts,
    currentBy: document.currentBy_mps,
    entryBy: document.entryBy_mps,
    late: document.late_s,
    asternTimes: document.asternTimes,
    waterTimes: document.waterTimes,
    otherHand: document.otherHand,
    otherSide: document.otherSide,
  };
}

/** Winds of a grid as a page asks for them. */
export const windsSchema = z.strictObject({
  from_deg: z
    .array(within(0, 360, 'degrees'))
    .min(1)
    .max(16),
  speeds_mps: z
    .array(within(0, 40, 'm/s'))
    .min(1)
    .max(10),
});
export type Winds = z.infer<typeof windsSchema>;
