'use client';
import { DateTime } from 'luxon';
import { Dialog } from 'radix-ui';
import { useEffect, useMemo, useState } from 'react';
import {
  conditionsAt,
  daySchema,
  hourAt,
  type Day,
  type ManoeuvreFile,
  locksByTide,
} from '@/document';
import { LEAST_OVER_M, LEAST_UNDER_M, OVER_CILL_M } from '@/core/policy';
import type { DayRun } from '@/planner';
import { useDayRuns } from '../hooks/use-look';
import { useWorkspaceStore } from '../state/context';
import { useUnits } from '../state/preferences';
import { outcomeWord } from '../words/outcome-heads';
import { boatSpeed, compassPoint, distance, windSpeed, type Units } from '../words/units';
import { clockAt, DayChartView } from './DayChartView';
import { windowsOf } from './windows';

const RUN_EVERY_S = 1800;
const BUTTON = 'min-h-9 border border-ink px-3 font-semibold hover:border-plan hover:text-plan';

type DayAnswer = { readonly day: Day } | { readonly why: string } | null;

/** The day's wind, current and level as the server tells them, for a place and a date. */
function useDay(placeId: string, date: string): DayAnswer {
  const [told, setTold] = useState<{ readonly of: string; readonly told: DayAnswer }>({
    of: '',
    told: null,
  });
  const asked = `${placeId} ${date}`;
  useEffect(() => {
    let wanted = true;
    const tell = (found: DayAnswer) => wanted && setTold({ of: asked, told: found });
    const query = new URLSearchParams({ place: placeId, date });
    fetch(`/api/day?${query.toString()}`)
      .then(async (response) => {
        const body: unknown = await response.json();
        const day = daySchema.safeParse(body);
        if (day.success) return tell({ day: day.data });
        const { problems } = body as { problems?: readonly { message: string }[] };
        tell({ why: problems?.[0]?.message ?? 'the day cannot be read' });
      })
      .catch(() => tell({ why: 'the server does not answer; is it still there?' }));
    return () => {
      wanted = false;
    };
  }, [placeId, date, asked]);
  return told.of === asked ? told.told : null;
}

/** A day at the place: what blows and flows, when this manoeuvre is within limits, and an hour taken by hand. */
export function DaySheet({ file, onClose }: { file: ManoeuvreFile; onClose: () => void }) {
  const { when } = file.conditions;
  const zone = file.place.tide?.zone ?? 'UTC';
  const [date, setDate] = useState(() =>
    (when ? DateTime.fromISO(when, { zone }) : DateTime.now().setZone(zone)).toFormat('yyyy-MM-dd'),
  );
  const told = useDay(file.place.id, date);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-paper/70" />
        <Dialog.Content className="fixed left-1/2 top-1/2 z-50 flex max-h-[97vh] w-[1120px] max-w-[98vw] -translate-1/2 flex-col overflow-auto border border-ink bg-paper p-6 text-ink">
          <div className="flex flex-wrap items-baseline gap-x-5">
            <Dialog.Title className="text-[18px] font-bold">
              The day at {file.place.name}
            </Dialog.Title>
            <label className="flex items-baseline gap-2">
              <span className="text-quiet">day</span>
              <input
                type="date"
                value={date}
                onChange={(event) => event.target.value && setDate(event.target.value)}
              />
            </label>
            <Dialog.Close className="ml-auto text-plan underline">Close</Dialog.Close>
          </div>
          <Dialog.Description className="pb-2 pt-0.5 text-[13px] text-quiet">
            {told && 'day' in told
              ? `Clocks show ${told.day.zone}. Wind: ${told.day.windBy}. Level and current: ${told.day.tideBy}.`
              : 'Wind, current, level, and when this manoeuvre goes well.'}
          </Dialog.Description>
          {told === null ? (
            <p className="text-quiet">Asking for the day …</p>
          ) : 'why' in told ? (
            <p role="alert" className="font-semibold text-hurt">
              {told.why}
            </p>
          ) : (
            <Sheet key={`${date} ${told.day.from}`} file={file} day={told.day} onClose={onClose} />
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Sheet({ file, day, onClose }: { file: ManoeuvreFile; day: Day; onClose: () => void }) {
  const units = useUnits();
  const store = useWorkspaceStore();
  const [stopped, setStopped] = useState(false);
  const [at, setAt] = useState(() => {
    const was = file.conditions.when ? Date.parse(file.conditions.when) / 1000 : NaN;
    return was >= day.from && was < day.to ? was : day.from + (day.to - day.from) / 2;
  });
  const moments = useMemo(() => {
    const all: number[] = [];
    for (let t = day.from; t < day.to; t += RUN_EVERY_S) all.push(t);
    return all;
  }, [day]);
  const runs = useDayRuns(stopped ? null : file, day, moments);
  const busy = !stopped && runs.length < moments.length;
  const windows = windowsOf(runs);
  const choose = () => {
    const next = conditionsAt(file.conditions, day, at, file.limit_s, Date.now() / 1000);
    if (!next.ok) return;
    store.getState().edit((m) => {
      m.conditions = next.value;
    });
    onClose();
  };
  const seaLocks = locksByTide(file.place, file.boat.hull.draught_m, day.hours);
  const run = runs.find((one) => Math.abs(one.at - at) <= RUN_EVERY_S / 2) ?? null;
  return (
    <>
      <DayChartView day={day} runs={runs} moments={moments} at={at} onAt={setAt} />
      {seaLocks.map(({ name, windows: open }) => (
        <p key={name} className="pt-1" data-testid="sea-lock">
          <span className="font-semibold">{name} by the tide </span>
          <span className="figures">
            {open.length === 0
              ? 'at no hour of this day'
              : open
                  .map(({ from, to }) => `${clockAt(from, day.zone)}–${clockAt(to, day.zone)}`)
                  .join(', ')}
          </span>
          <span className="text-[13px] text-quiet">
            {' '}
            {distance(OVER_CILL_M, units)} at least under the boat on its lower cill, the tide not
            over the water above; its hours are the keeper’s
          </span>
        </p>
      ))}
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1 pt-2" role="status">
        {busy ? (
          <span className="flex items-center gap-3">
            <progress value={runs.length} max={moments.length} aria-label="Hours played" />
            <span className="figures">
              {runs.length} of {moments.length}
            </span>
            <button type="button" className={BUTTON} onClick={() => setStopped(true)}>
              Stop
            </button>
          </span>
        ) : (
          <p data-testid="windows">
            <span className="font-semibold">Within limits </span>
            <span className="figures">
              {windows.length === 0
                ? 'at no half hour of this day'
                : windows
                    .map(({ from, to }) =>
                      from === to
                        ? clockAt(from, day.zone)
                        : `${clockAt(from, day.zone)}–${clockAt(to, day.zone)}`,
                    )
                    .join(', ')}
            </span>
            <span className="text-[13px] text-quiet">
              {' '}
              played every half hour: done without a hard touch, at least{' '}
              {distance(LEAST_UNDER_M, units)} under the boat and {distance(LEAST_OVER_M, units)}{' '}
              over the boat
              {runs.length < moments.length ? '; stopped before the rest' : ''}
            </span>
          </p>
        )}
      </div>
      <div className="flex flex-wrap items-baseline gap-x-6 pt-2">
        <p className="min-w-0 flex-1" data-testid="hour">
          <span className="figures font-semibold">{clockAt(at, day.zone)}</span>{' '}
          {hourWords(day, at, run, units)}
        </p>
        <button type="button" className={BUTTON} onClick={choose}>
          Take this hour
        </button>
      </div>
      <p className="pt-2 text-[12.5px] text-quiet">
        Tides here are computed without weather: pressure and wind move them by decimetres. Go by
        the official tables, the harbour&rsquo;s word and what you see.
      </p>
    </>
  );
}

const three = (degrees: number) => `${String(Math.round(degrees) % 360).padStart(3, '0')}°`;

/** What an hour brings, and how the manoeuvre goes in it. */
function hourWords(day: Day, at: number, run: DayRun | null, units: Units): string {
  const hour = hourAt(day, at);
  const words: string[] = [];
  if (hour?.wind) {
    const { from_deg, speed_mps, gust_mps } = hour.wind;
    words.push(
      `wind ${windSpeed(speed_mps, units)}, gusts ${windSpeed(gust_mps, units)}, from ${three(from_deg)} ${compassPoint(from_deg)}`,
    );
  }
  if (hour?.current)
    words.push(
      `current ${boatSpeed(hour.current.speed_mps, units)} to ${three(hour.current.set_deg)}`,
    );
  if (hour && hour.level_m !== null) words.push(`level ${distance(hour.level_m, units)}`);
  if (run?.outcome) {
    const more = [
      run.clearance !== null && `${distance(Math.max(0, run.clearance), units)} clear`,
      run.under !== null && `${distance(run.under, units)} under the boat`,
      run.over !== null && `${distance(run.over, units)} over the boat`,
    ].filter(Boolean);
    // Runs are played every half hour: between two, whose figures these are must be said.
    const played = run.at === at ? '' : `played for ${clockAt(run.at, day.zone)}: `;
    words.push(
      `${played}${outcomeWord(run.outcome).toLowerCase()}${more.length > 0 ? ` with ${more.join(', ')}` : ''}`,
    );
  } else if (run?.why) words.push(run.why);
  return words.join('; ');
}
