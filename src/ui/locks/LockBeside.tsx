'use client';
import { useMemo, type ReactNode } from 'react';
import { assembleCraft } from '@/core/boat';
import { levelThere, standsAlong, type SitedLock } from '@/core/locks';
import { gripAt, type Run } from '@/core/plan';
import { draughtOverCill, lockRecorded, type PoseColumns } from '@/core/simulation';
import { radians, toBoatSpec, type Manoeuvre } from '@/document';
import { useSize } from '../hooks/use-size';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { readAt } from '../water/sample';
import { lockEventText, lockNowText } from '../words/locks';
import { LockSection, type InSection } from './LockSection';
import { useLockOutlook } from './use-lock-outlook';
import { useWorkedLocks } from './use-worked';

type Shown = (Pick<Run, 'trace'> & Partial<Pick<Run, 'events'>>) | null;
const HANGS = { 'hangs wedged': true, 'caught on a gate': true, 'caught under the coping': true };

type Start = Pick<Manoeuvre['start'], 'x_m' | 'y_m' | 'heading_deg'>;

/** The water with, where a lock is worked, its long section beside it as it stands at the playhead. */
export function LockBeside({ run, children }: { run: Shown; children: ReactNode }) {
  const locks = useWorkedLocks();
  if (locks.length === 0) return children;
  return (
    <div className="flex min-h-0 min-w-0 max-md:flex-col print:block">
      <div className="min-h-0 min-w-0 flex-1">{children}</div>
      <div className="flex w-[36%] min-w-0 shrink-0 flex-col overflow-y-auto border-l border-hairline bg-paper max-md:w-auto max-md:border-l-0">
        {stairsOf(locks).map((numbers) => (
          <OneSection key={locks[numbers[0]!]!.id} locks={locks} numbers={numbers} run={run} />
        ))}
      </div>
    </div>
  );
}

/** Numbers of locks that are drawn as one: those of a staircase from the lowest up. */
function stairsOf(locks: readonly SitedLock[]): number[][] {
  return locks.flatMap(({ below }, k) => {
    if (below !== undefined) return [];
    const numbers = [k];
    for (let at = locks[k]!.above; at !== undefined; at = locks[at]!.above) numbers.push(at);
    return [numbers];
  });
}

type PoseAtPlayhead = Readonly<Record<'x' | 'y' | 'heading', number>>;

/** A lock, or the locks of a staircase, in one long section; and in words what each does. */
function OneSection({
  locks,
  numbers,
  run,
}: {
  locks: readonly SitedLock[];
  numbers: readonly number[];
  run: Shown;
}) {
  const [frame, size] = useSize<HTMLDivElement>();
  const units = useUnits();
  const time = usePlayhead((p) => p.time);
  const boat = useWorkspace((s) => s.boat);
  const start = useWorkspace((s) => s.manoeuvre.start);
  const others = useWorkspace((s) => s.manoeuvre.others);
  const { keel } = useMemo(() => assembleCraft(toBoatSpec(boat)), [boat]);
  const stairs = numbers.map((k) => {
    const sited = locks[k]!;
    const now = run ? lockRecorded(run.trace, k, sited, time) : { state: sited.begins, rising: 0 };
    return { sited, ...now };
  });
  const sites = stairs.map(({ sited }) => sited);
  const states = stairs.map(({ state }) => state);
  const standsIn = ({ hull }: typeof boat, sited: SitedLock, pose: PoseAtPlayhead) =>
    standsAlong(sited, pose, {
      length: hull.length_m,
      beam: hull.beam_m,
      draught: hull.draught_m,
      airDraught: hull.freeboard_m + Math.max(hull.superstructure_m, hull.mast_m),
    });
  const shown = (one: typeof boat, name: string, pose: PoseAtPlayhead): InSection => ({
    boat: standsIn(one, sites[0]!, pose),
    level: levelThere(sites, states, pose.x, pose.y),
    hurt: false,
    name,
  });
  const poseOf = (columns: PoseColumns | undefined, first: Start): PoseAtPlayhead => {
    if (!run || !columns)
      return { x: first.x_m, y: first.y_m, heading: radians(first.heading_deg) };
    const { x, y, heading } = columns;
    return {
      x: readAt(run, x, time),
      y: readAt(run, y, time),
      heading: readAt(run, heading, time),
    };
  };
  const pose = poseOf(run?.trace, start);
  // Over the upper cill of the chamber the boat lies in.
  const over = stairs.find(({ sited }) => {
    const stands = standsIn(boat, sited, pose);
    return stands.inside && stands.fromUpper < sited.lock.cillReach;
  });
  const { sited: chamber, state: water } = over ?? stairs[0]!;
  const asked = over && {
    lock: chamber.lock,
    state: water,
    boat: {
      ...standsIn(boat, chamber, pose),
      overCill: draughtOverCill(chamber, pose.x, pose.y, pose.heading, keel),
    },
  };
  const ahead = useLockOutlook(asked ?? null);
  const grip = gripAt(run?.events ?? [], time);
  const boats = [
    {
      ...shown(boat, boat.name, pose),
      hurt: (ahead !== null && ahead.hangs.length > 0) || (grip !== null && grip.what in HANGS),
    },
    ...others.map((other, i) =>
      shown(other.boat, other.name, poseOf(run?.trace.others[i], other.start)),
    ),
  ];
  const left = ahead?.left;
  const hangsOnCill = ahead?.hangs.some(({ is }) => is === 'on the cill') ?? false;
  const names = sites.map(({ name }) => name).join(' and ');
  return (
    <section aria-label={`${names}, long section`} className="shrink-0 p-2">
      {grip && (
        <p role="alert" className="text-[13px] font-semibold text-hurt">
          ▲ {lockEventText(grip.what, grip.seconds ?? undefined)}. Paddles down.
        </p>
      )}
      {(left || hangsOnCill) && (
        <p role="alert" className="text-[13px] font-semibold text-hurt">
          ▲ over the cill:{' '}
          {left ? `${Math.round(left.seconds)} s until the boat hangs` : 'the boat hangs'}. Paddles
          down, fill again.
        </p>
      )}
      <div ref={frame}>
        {size.width > 0 && (
          <LockSection
            chambers={stairs.map(({ sited, state }) => ({
              lock: sited.lock,
              state,
              coping: sited.coping,
            }))}
            boats={boats}
            width={size.width}
            height={Math.round(size.width * 0.72)}
          />
        )}
      </div>
      {stairs.map(({ sited, state, rising }) => (
        <p key={sited.id} className="pt-1 text-[13px]" data-testid="lock-now">
          <span className="font-semibold">{sited.name}</span> {lockNowText(state, rising, units)}
        </p>
      ))}
    </section>
  );
}
