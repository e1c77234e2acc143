import { type ProxyMarked } from 'comlink';
import { assembleCraft } from '@/core/boat';
import { TRIES_SEED } from '@/core/policy';
import { computePivots, computeSheet, sheetRanges } from '@/core/trials';
import { spreadFor, STANDARD_SPREAD } from '@/core/uncertainty';
import { boatSchema, check, knownOfBoat, success, toBoatSpec } from '@/document';
import { live } from './lifeline';
import type { SheetWorker } from './protocol';

type Progress = ((share: number) => void) & Partial<ProxyMarked>;

/** Tells of progress by steps of a fiftieth. */
function inSteps(progress: Progress): (share: number) => void {
  let told = 0;
  return (share) => {
    if (share - told < 0.02 && share < 1) return;
    told = share;
    progress(share);
  };
}

const worker: SheetWorker = {
  compute(boat, progress: Progress) {
    const checked = check(boatSchema, boat);
    if (!checked.ok) return checked;
    return success(computeSheet(assembleCraft(toBoatSpec(checked.value)), inSteps(progress)));
  },
  ranges(boat, progress: Progress) {
    const checked = check(boatSchema, boat);
    if (!checked.ok) return checked;
    const spread = spreadFor(STANDARD_SPREAD, knownOfBoat(checked.value));
    return success(sheetRanges(toBoatSpec(checked.value), spread, TRIES_SEED, inSteps(progress)));
  },
  pivots(boat) {
    const checked = check(boatSchema, boat);
    if (!checked.ok) return checked;
    return success(computePivots(assembleCraft(toBoatSpec(checked.value))));
  },
};

live(worker);
