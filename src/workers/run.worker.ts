import { transfer } from 'comlink';
import { z } from 'zod';
import { holdBack, runPlan, type RunInput } from '@/core/plan';
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
import type { RunWorker } from './protocol';

const stepSchema = z.int().min(0).max(200);
/** So long after the step before a held step is followed, s: as far as one would drag it. */
const MOST_HELD_S = 180;

function read(file: unknown, variation: unknown): Result<RunInput> {
  const checked = check(manoeuvreFileSchema, file);
  if (!checked.ok) return checked;
  const varied = check(variationSchema, variation);
  if (!varied.ok) return varied;
  const input = toRunInput(checked.value);
  return input.ok ? success(vary(input.value, toVariation(varied.value))) : input;
}

const worker: RunWorker = {
  holdBack(file, variation, step) {
    const input = read(file, variation);
    if (!input.ok) return input;
    const which = check<number>(stepSchema, step);
    if (!which.ok) return which;
    return success(holdBack(input.value, which.value, MOST_HELD_S));
  },
  play(file, variation = {}) {
    const input = read(file, variation);
    if (!input.ok) return input;
    const run = runPlan(input.value);
    return transfer({ ok: true, value: run }, buffersOf(run.trace));
  },
};

live(worker);
