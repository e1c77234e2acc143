'use client';
import { useEffect, useMemo, useState } from 'react';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { DebriefPanel } from './DebriefPanel';
import { DebriefWater } from './DebriefWater';
import { Traces } from './Traces';
import { dayAndTime } from '../words/when';
import { LockBeside } from '../locks/LockBeside';
import { Instruments } from './Instruments';
import { keepRecording } from './keep-recording';
import { recordToCompare, runToCompare, shownRecord, shownRun } from './compared';
import { useFeed } from './use-feed';
import { useLookedOver, useRecords } from './use-records';
import { useReview, useRuns, type OpenReview } from './use-runs';

const NONE: readonly string[] = [];

/** Looking back: a driven run on the water, its traces, what was good and bad in it, and what was different. */
export function Debrief({ manoeuvreId }: { manoeuvreId: string }) {
  const { runs, reload, more } = useRuns(manoeuvreId);
  const chosen = useWorkspace((s) => s.runId);
  const openRun = useWorkspace((s) => s.openRun);
  const [over, setOver] = useState(NONE);
  // The newest, until one is chosen.
  const id = chosen ?? runs?.at(-1)?.id ?? null;
  const review = useReview(id, over);
  const setRun = usePlayhead((p) => p.setRun);
  const { open } = review;
  useEffect(() => {
    if (!open) return;
    setRun(open.reviewed.run.duration, open.reviewed.run.steps);
  }, [open, setRun]);
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const [recordsLaid, setRecordsLaid] = useState(NONE);
  const { berth } = manoeuvre;
  const about = useMemo(() => ({ boat, place, berth }), [boat, place, berth]);
  const records = useRecords(manoeuvreId, recordsLaid, about);
  const lay = (one: string, on: boolean) =>
    setRecordsLaid((now) => (on ? [...now, one] : now.filter((other) => other !== one)));
  const keep = async (text: string, name: string, source: 'file' | 'feed') => {
    const kept = await keepRecording(manoeuvreId, text, name, source);
    if ('why' in kept) return kept.why;
    records.reload();
    lay(kept.id, true);
    return null;
  };
  const { feed, start, stop } = useFeed(manoeuvreId, place, (text) => {
    if (text.length > 0) void keep(text, 'simulated feed', 'feed');
  });
  const fed = useMemo(() => (feed.record ? [feed.record] : []), [feed.record]);
  const live = useLookedOver(fed, about)[0] ?? null;
  // Where nothing was driven, a record is what is looked at.
  const alone = !open && runs?.length === 0 ? (live ?? records.open[0] ?? null) : null;
  const shown = useMemo(
    () => (open ? shownRun(open) : alone ? shownRecord(alone, boat) : null),
    [open, alone, boat],
  );
  const laid = useMemo(
    () => [
      ...over.flatMap((one) => {
        const other = one === id ? undefined : review.laidOver.get(one);
        return other ? [runToCompare(other)] : [];
      }),
      ...[...records.open, ...(live ? [live] : [])].map(recordToCompare),
    ],
    [over, id, review.laidOver, records.open, live],
  );
  const duration = alone?.margins.duration;
  useEffect(() => {
    if (duration !== undefined) setRun(duration, []);
  }, [duration, setRun]);
  return (
    <>
      <PrintHead open={open} number={runs?.find((run) => run.id === id)?.number ?? 0} />
      <LockBeside run={open?.reviewed.run ?? null}>
        <DebriefWater open={open} laid={laid} alone={alone?.trace ?? null} />
      </LockBeside>
      <div className="col-start-1 row-start-3 min-h-0 min-w-0 border-t border-ink max-md:order-3 print:border-0">
        <Traces open={shown} laid={laid.filter((one) => one.id !== shown?.id)} />
      </div>
      <div className="col-start-2 row-span-2 row-start-2 min-h-0 max-md:contents">
        <DebriefPanel
          runs={runs}
          more={more}
          review={review}
          id={id}
          over={over}
          onOpen={openRun}
          onOver={setOver}
          onChanged={reload}
          instruments={
            <Instruments
              listed={records.listed}
              open={records.open}
              feed={feed}
              onLay={lay}
              onKeep={(text, name) => keep(text, name, 'file')}
              onStart={start}
              onStop={stop}
              onPutAside={(one) => {
                lay(one, false);
                void fetch(`/api/records/${one}`, { method: 'DELETE' }).then(records.reload);
              }}
              onBringBack={(one) =>
                void fetch(`/api/records/${one}`, {
                  method: 'PATCH',
                  headers: { 'content-type': 'application/json' },
                  body: JSON.stringify({ aside: false }),
                }).then(records.reload)
              }
            />
          }
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
