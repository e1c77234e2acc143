'use client';
import { useEffect, useMemo, useState } from 'react';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { DebriefPanel } from './DebriefPanel';
import { DebriefWater } from './DebriefWater';
import { Traces } from './Traces';
import { dayAndTime } from '../words/when';
import { useReview, useTakes, type OpenReview } from './use-takes';

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
      <PrintHead open={open} number={1 + (takes?.findIndex((take) => take.id === id) ?? -1)} />
      <DebriefWater open={open} laid={laid} />
      <div className="col-start-1 row-start-3 min-h-0 min-w-0 border-t border-ink max-md:order-3 print:border-0">
        <Traces open={open} laid={laid} />
      </div>
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
    </>
  );
}

/** What stands over a printed debrief: on screen the page's own head says it. */
function PrintHead({ open, number }: { open: OpenReview | null; number: number }) {
  if (!open) return null;
  const { title, boat, place } = open.file.manoeuvre;
  return (
    <header className="hidden pb-2 print:block">
      <h1 className="text-[20px] font-semibold">{title}</h1>
      <p className="text-quiet">
        {boat.name}, {place.name}. Take {number}, driven {dayAndTime(open.startedAt)}. A rehearsal:
        models err, and local rules come first.
      </p>
    </header>
  );
}
