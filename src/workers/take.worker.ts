import { transfer } from 'comlink';
import { z } from 'zod';
import { holdBack, runTake, type RunInput } from '@/core/score';
import { vary } from '@/core/search';
import {
  check,
  manoeuvreFileSchema,
  success,
  toRunInput,
  toVariation,
  variationSchema,
  type Result,
} from '@/document';
import { buffersOf } from './buffers';
import { live } from './lifeline';
import type { TakeWorker } from './protocol';

const beatSchema = z.int().min(0).max(200);
/** So long after the beat before a held beat is followed, s: as far as one would drag it. */
const MOST_HELD_S = 180;

function read(file: unknown, variation: unknown): Result<RunInput> {
  const checked = check(manoeuvreFileSchema, file);
  if (!checked.ok) return checked;
  const varied = check(variationSchema, variation);
  if (!varied.ok) return varied;
  const input = toRunInput(checked.value);
  return input.ok ? success(vary(input.value, toVariation(varied.value))) : input;
}

const worker: TakeWorker = {
  holdBack(file, variation, beat) {
    const input = read(file, variation);
    if (!input.ok) return input;
    const which = check<number>(beatSchema, beat);
    if (!which.ok) return which;
    return success(holdBack(input.value, which.value, MOST_HELD_S));
  },
  play(file, variation = {}) {
    const input = read(file, variation);
    if (!input.ok) return input;
    const take = runTake(input.value);
    return transfer({ ok: true, value: take }, buffersOf(take.trace));
  },
};

live(worker);
