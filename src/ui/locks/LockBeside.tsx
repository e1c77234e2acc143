'use client';
import { useMemo, type ReactNode } from 'react';
import { assembleCraft } from '@/core/craft';
import { hangUps, standsAlong, timeLeft, type SitedLock } from '@/core/locks';
import type { Take } from '@/core/score';
import { draughtOverCill, lockRecorded, otherColumns } from '@/core/sim';
import { radians, toBoatSpec } from '@/document';
import { useSize } from '../hooks/use-size';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { readAt } from '../water/sample';
import { lockNowText } from '../words/locks';
import { LockSection, type InSection } from './LockSection';
import { useWorkedLocks } from './use-worked';

type Shown = Pick<Take, 'trace'> | null;

/** The water with, where a lock is worked, its long section beside it as it stands at the playhead. */
export function LockBeside({ take, children }: { take: Shown; children: ReactNode }) {
  const locks = useWorkedLocks();
  if (locks.length === 0) return children;
  return (
    <div className="flex min-h-0 min-w-0 max-md:flex-col print:block">
      <div className="min-h-0 min-w-0 flex-1">{children}</div>
      <div className="flex w-[36%] min-w-0 shrink-0 flex-col overflow-y-auto border-l border-hairline bg-paper max-md:w-auto max-md:border-l-0">
        {locks.map((sited, k) => (
          <OneLock key={sited.id} sited={sited} k={k} take={take} />
        ))}
      </div>
    </div>
  );
}

function OneLock({ sited, k, take }: { sited: SitedLock; k: number; take: Shown }) {
  const [frame, size] = useSize<HTMLDivElement>();
  const units = useUnits();
  const time = usePlayhead((p) => p.time);
  const boat = useWorkspace((s) => s.boat);
  const start = useWorkspace((s) => s.manoeuvre.start);
  const others = useWorkspace((s) => s.manoeuvre.others);
  const { keel } = useMemo(() => assembleCraft(toBoatSpec(boat)), [boat]);
  const { state, rising } = take
    ? lockRecorded(take.trace, k, sited, time)
    : { state: sited.begins, rising: 0 };
  const at = (
    { hull, name }: typeof boat,
    pose: { x: number; y: number; heading: number },
  ): InSection & { readonly inside: boolean } => {
    const stands = standsAlong(sited, pose, {
      length: hull.length_m,
      beam: hull.beam_m,
      draught: hull.draught_m,
      airDraught: hull.freeboard_m + Math.max(hull.superstructure_m, hull.mast_m),
    });
    const level = stands.inside
      ? state.chamber
      : stands.fromUpper + stands.length / 2 < 0
        ? state.upper
        : state.lower;
    return { boat: stands, level, hurt: false, name, inside: stands.inside };
  };
  const first = {
    x: start.x_m,
    y: start.y_m,
    heading: radians(start.heading_deg),
  };
  const pose = take
    ? {
        x: readAt(take, 'x', time),
        y: readAt(take, 'y', time),
        heading: readAt(take, 'heading', time),
      }
    : first;
  const hers = at(boat, pose);
  const reaches = hers.inside && hers.boat.fromUpper < sited.lock.cillReach;
  const over = reaches ? draughtOverCill(sited, pose.x, pose.y, pose.heading, keel) : 0;
  const left = reaches ? timeLeft(sited.lock, state, { ...hers.boat, overCill: over }) : null;
  const hangs = reaches && hangUps(sited.lock, state, { ...hers.boat, overCill: over }).length > 0;
  const boats = [
    { ...hers, hurt: hangs },
    ...others.map((other, i) => {
      const [x, y, heading] = otherColumns(i);
      const pose =
        take && take.trace[x]
          ? {
              x: readAt(take, x, time),
              y: readAt(take, y, time),
              heading: readAt(take, heading, time),
            }
          : {
              x: other.start.x_m,
              y: other.start.y_m,
              heading: radians(other.start.heading_deg),
            };
      return { ...at(other.boat, pose), name: other.name };
    }),
  ];
  return (
    <section aria-label={`${sited.name}, long section`} className="min-h-0 p-2">
      <div ref={frame}>
        {size.width > 0 && (
          <LockSection
            lock={sited.lock}
            state={state}
            boats={boats}
            coping={sited.coping}
            width={size.width}
            height={Math.round(size.width * 0.72)}
          />
        )}
      </div>
      <p className="pt-1 text-[13px]" data-testid="lock-now">
        <span className="font-semibold">{sited.name}</span> {lockNowText(state, rising, units)}
      </p>
      {left && (
        <p role="alert" className="text-[13px] font-semibold text-hurt">
          ▲ over the cill: {Math.round(left.seconds)} s until she hangs. Paddles down, fill again.
        </p>
      )}
    </section>
  );
}
