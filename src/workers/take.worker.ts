import { expose, transfer } from 'comlink';
import { runTake } from '@/core/score';
import { vary } from '@/core/search';
import { check, manoeuvreFileSchema, toRunInput, toVariation, variationSchema } from '@/document';
import type { TakeWorker } from './protocol';

const worker: TakeWorker = {
  play(file, variation = {}) {
    const checked = check(manoeuvreFileSchema, file);
    if (!checked.ok) return checked;
    const varied = check(variationSchema, variation);
    if (!varied.ok) return varied;
    const input = toRunInput(checked.value);
    if (!input.ok) return input;
    const take = runTake(vary(input.value, toVariation(varied.value)));
    // The columns of a record share a buffer; a transfer must name it once.
    const columns = Object.values(take.trace).map((column) => column.buffer as ArrayBuffer);
    const buffers = [...new Set(columns)];
    return transfer({ ok: true, value: take }, buffers);
  },
};

expose(worker);
