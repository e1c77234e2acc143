'use client';
import { useState } from 'react';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { acceptOf, mostOf, RECORDING_IMPORTERS } from '@/io/importers';
import type { NmeaCounts } from '@/io/nmea0183';
import { Choice } from '../parts/Choice';
import { FileButton } from '../parts/FileButton';
import { readText } from '../parts/read-text';
import { useUnits } from '../state/preferences';
import { boatSpeed, clock, distance, windSpeed } from '../words/units';
import { dayAndTime } from '../words/when';
import type { Feed } from './use-feed';
import type { LookedOver } from '@/workers';
import type { ListedRecord } from './use-records';

const LINK = 'text-plan underline disabled:text-quiet';
const PACES = ['1', '4', '10', '30'] as const;

/** What a boat's own instruments recorded: taken in, listened to, laid over what was rehearsed. */
export function Instruments({
  listed,
  open,
  feed,
  onLay,
  onKeep,
  onStart,
  onStop,
  onPutAside,
  onBringBack,
}: {
  listed: readonly ListedRecord[];
  open: readonly LookedOver[];
  feed: Feed;
  onLay: (id: string, laid: boolean) => void;
  /** What is wrong; null where it was kept. */
  onKeep: (text: string, name: string) => Promise<string | null>;
  onStart: (pace: number) => void;
  onStop: () => void;
  onPutAside: (id: string) => void;
  onBringBack: (id: string) => void;
}) {
  const [problem, setProblem] = useState<string | null>(null);
  const [aside, setAside] = useState<ListedRecord | null>(null);
  const [pace, setPace] = useState<(typeof PACES)[number]>('4');
  const importFile = async (file: File) => {
    setProblem(null);
    const name = file.name.replace(/\.[a-z0-9]+$/i, '').slice(0, 80) || 'recording';
    const text = await readText(file, mostOf(RECORDING_IMPORTERS));
    setProblem(text.ok ? await onKeep(text.value, name) : text.problems[0]!.message);
  };
  return (
    <section aria-label="Instruments" className="rule-t py-2 print:hidden">
      <h2 className="pb-1 text-[15px] font-semibold">What instruments recorded</h2>
      {listed.map(({ id, name, begins }) => {
        const shown = open.find(({ record }) => record.id === id);
        return (
          <div key={id} className="rule-t py-1">
            <label className="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-plan"
                checked={shown !== undefined}
                onChange={(event) => onLay(id, event.target.checked)}
              />
              <span className="min-w-0 flex-1 truncate">{name}</span>
              <span className="figures text-[13px] text-quiet">
                {dayAndTime(Date.parse(begins))}
              </span>
            </label>
            {shown && <Figures open={shown} />}
            {shown && (
              <button
                type="button"
                className={`${LINK} text-[13px]`}
                onClick={() => {
                  setAside({ id, name, begins });
                  onPutAside(id);
                }}
              >
                remove it
              </button>
            )}
          </div>
        );
      })}
      {aside && (
        <p role="status" className="rule-t py-1 text-[13px]">
          {aside.name} has been removed.{' '}
          <button
            type="button"
            className={LINK}
            onClick={() => {
              onBringBack(aside.id);
              setAside(null);
            }}
          >
            Bring it back
          </button>
        </p>
      )}
      {feed.running ? (
        <p className="rule-t flex flex-wrap items-baseline gap-x-3 py-1.5" role="status">
          <span>
            Listening
            {feed.counts ? `: ${feed.record?.fixes.length ?? 0} positions` : ' …'}
          </span>
          {feed.counts && <Counts counts={feed.counts} />}
          <button type="button" className={LINK} onClick={onStop}>
            Stop and keep it
          </button>
        </p>
      ) : (
        <div className="rule-t flex flex-wrap items-baseline gap-x-4 gap-y-1 py-1.5">
          <FileButton
            label="NMEA 0183 recording"
            accept={acceptOf(RECORDING_IMPORTERS)}
            className={LINK}
            onFile={(file) => void importFile(file)}
          >
            Import a recording
          </FileButton>
          <span>
            <button type="button" className={LINK} onClick={() => onStart(Number(pace))}>
              Listen to the simulated feed
            </button>{' '}
            <Choice
              label="How fast it runs"
              value={pace}
              options={PACES.map((value) => ({ value, text: `${value} ×` }))}
              onChange={setPace}
            />
          </span>
        </div>
      )}
      {(problem ?? feed.problem) && (
        <p role="alert" className="font-semibold text-hurt">
          {problem ?? feed.problem}
        </p>
      )}
    </section>
  );
}

function Figures({ open }: { open: LookedOver }) {
  const units = useUnits();
  const { margins, byCourse, record } = open;
  const { clearance, shallowest, windiest } = margins;
  return (
    <div className="pl-6 text-[13px]" data-testid="record">
      <p>
        <span className="figures">
          {clock(margins.duration)}, fastest {boatSpeed(margins.fastest, units)}
        </span>
        {clearance && (
          <>
            , <span className="figures">{distance(Math.max(0, clearance.distance), units)}</span>{' '}
            from {clearance.name} ({clearance.part}) at{' '}
            <span className="figures">{clock(clearance.time)}</span>
          </>
        )}
      </p>
      {(shallowest ?? windiest) && (
        <p>
          {[
            shallowest &&
              `least on the sounder ${distance(shallowest.depth, units)} at ${clock(shallowest.time)}`,
            windiest &&
              `apparent wind up to ${windSpeed(windiest.speed, units)}${offBow(windiest.angle)} at ${clock(windiest.time)}`,
          ]
            .filter(Boolean)
            .join('; ')}
        </p>
      )}
      <p className="text-quiet">
        As good as the boat’s positions are: metres, mostly.
        {byCourse && ' Without a compass the boat’s heading is its course over ground.'}{' '}
        <Counts counts={record.counts} />
      </p>
    </div>
  );
}

/** Where wind comes from aboard; nothing where it was not told. */
function offBow(angle: number): string {
  if (Number.isNaN(angle)) return '';
  const degrees = Math.round(Math.abs(angle) * DEGREES_PER_RADIAN);
  if (degrees === 0) return ' from ahead';
  if (degrees === 180) return ' from astern';
  return `, ${degrees}° off the ${angle < 0 ? 'port' : 'starboard'} bow`;
}

/** How many sentences there were, and what was left out of them and why. */
function Counts({ counts }: { counts: NmeaCounts }) {
  const bad = Object.entries(counts.bad);
  const unused = Object.entries(counts.unused);
  const lost = bad.reduce((sum, [, n]) => sum + n, 0);
  return (
    <span className="text-[13px] text-quiet">
      <span className="figures">{counts.sentences}</span> sentences,{' '}
      <span className="figures">{lost}</span> bad
      {bad.length > 0 && ` (${bad.map(([why, n]) => `${why} ${n}`).join(', ')})`}
      {unused.length > 0 && `; not used: ${unused.map(([type, n]) => `${type} ${n}`).join(', ')}`}.
    </span>
  );
}
