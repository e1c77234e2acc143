import { expose, transfer } from 'comlink';
import { runTake } from '@/core/score';
import { check, manoeuvreFileSchema, toRunInput } from '@/document';
import type { TakeWorker } from './protocol';

const worker: TakeWorker = {
  play(file) {
    const checked = check(manoeuvreFileSchema, file);
    if (!checked.ok) return checked;
    const input = toRunInput(checked.value);
    if (!input.ok) return input;
    const take = runTake(input.value);
    // The columns of a record share a buffer; a transfer must name it once.
    const columns = Object.values(take.trace).map((column) => column.buffer as ArrayBuffer);
    const buffers = [...new Set(columns)];
    return transfer({ ok: true, value: take }, buffers);
  },
};

expose(worker);
