import { type ProxyMarked } from 'comlink';
import { assembleCraft } from '@/core/boat';
import { computePivots, computeSheet } from '@/core/trials';
import { boatSchema, check, success, toBoatSpec } from '@/document';
import { live } from './lifeline';
import type { SheetWorker } from './protocol';

const worker: SheetWorker = {
  compute(boat, progress: ((share: number) => void) & Partial<ProxyMarked>) {
    const checked = check(boatSchema, boat);
    if (!checked.ok) return checked;
    let told = 0;
    const sheet = computeSheet(assembleCraft(toBoatSpec(checked.value)), (share) => {
      if (share - told < 0.02 && share < 1) return;
      told = share;
      progress(share);
    });
    return success(sheet);
  },
  pivots(boat) {
    const checked = check(boatSchema, boat);
    if (!checked.ok) return checked;
    return success(computePivots(assembleCraft(toBoatSpec(checked.value))));
  },
};

live(worker);
