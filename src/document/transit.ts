import { z } from 'zod';
import { extra, id, shortText } from './fields';

/** Two marks in line: in that order, the nearer first. */
export const transitSchema = z.strictObject({
  id,
  name: shortText,
  extra,
  front: shortText,
  back: shortText,
});
export type PlaceTransit = z.infer<typeof transitSchema>;
