'use client';
import { useEffect, useMemo, useState } from 'react';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { DebriefPanel } from './DebriefPanel';
import { DebriefWater } from './DebriefWater';
import { Traces } from './Traces';
import { useReview, useTakes } from './use-takes';

const NONE: readonly string[] = [];

/** Looking back: a driven take on the water, its traces, what was good and bad in it, and what was different. */
export function Debrief({ manoeuvreId }: { manoeuvreId: string }) {
  const { takes, reload } = useTakes(manoeuvreId);
  const chosen = useWorkspace((s) => s.takeId);
  const openTake = useWorkspace((s) => s.openTake);
  const [over, setOver] = useState(NONE);
  // The newest, until one is chosen.
  const id = chosen ?? takes?.at(-1)?.id ?? null;
  const review = useReview(id, over);
  const setTake = usePlayhead((p) => p.setTake);
  const { open } = review;
  useEffect(() => {
    if (!open) return;
    setTake(open.reviewed.take.duration, open.reviewed.take.beats);
  }, [open, setTake]);
  const laid = useMemo(
    () => over.flatMap((one) => (one === id ? [] : (review.laidOver.get(one) ?? []))),
    [over, id, review.laidOver],
  );
  return (
    <>
      <DebriefWater open={open} laid={laid} />
      <div className="col-start-2 row-span-2 row-start-2 min-h-0 max-md:contents">
        <DebriefPanel
          takes={takes}
          review={review}
          id={id}
          over={over}
          onOpen={openTake}
          onOver={setOver}
          onChanged={reload}
        />
      </div>
      <div className="min-h-0 min-w-0 border-t border-ink max-md:order-3">
        <Traces open={open} laid={laid} />
      </div>
    </>
  );
}
