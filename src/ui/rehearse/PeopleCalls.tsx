'use client';
import { namedPoints, type OrderDocument } from '@/document';
import { peopleAt } from '../lines/line-at';
import { useWorkspace } from '../state/context';
import { sampleBefore } from '../water/sample';
import { CALL } from './call-style';
import type { LiveRun } from './live-state';
import { useLive, useLiveState } from './use-live';

/** What is ashore nearest to the boat now and can be walked to by name; null where nothing has one. */
function nearestAshore(
  ends: readonly { readonly name: string; readonly x: number; readonly y: number }[],
  { trace }: LiveRun,
  time: number,
): string | null {
  const i = sampleBefore(trace, time);
  const off = ({ x, y }: { readonly x: number; readonly y: number }) =>
    Math.hypot(x - trace.x[i]!, y - trace.y[i]!);
  return [...ends].sort((a, b) => off(a) - off(b))[0]?.name ?? null;
}

/** Where everybody is, and the call to step ashore or back aboard. */
export function PeopleCalls() {
  const live = useLive();
  const crew = useWorkspace((s) => s.manoeuvre.plan.crew);
  const place = useWorkspace((s) => s.place);
  const boat = useWorkspace((s) => s.boat);
  const recent = useLiveState((s) => s.recent);
  const time = useLiveState((s) => s.now?.time ?? 0);
  if (crew.length === 0 || !recent) return null;
  const points = namedPoints(boat).map(({ name }) => name);
  const back = points.includes('helm') ? 'helm' : (points[0] ?? null);
  // Nobody walks to a buoy, a pile or a ground line.
  const ends = place.features.flatMap((f) =>
    f.kind === 'bollard' ? [{ name: f.name, x: f.x_m, y: f.y_m }] : [],
  );
  const to = nearestAshore(ends, recent, time);
  return (
    <div className="rule-t flex flex-col gap-1 pt-1" role="group" aria-label="People">
      {peopleAt(recent, crew, time).map(({ name, aboard }) => {
        const at = aboard ? to : back;
        const order: OrderDocument | null =
          at === null
            ? null
            : aboard
              ? { do: 'stepAshore', after_s: 0, by: name, mark: at }
              : { do: 'stepAboard', after_s: 0, by: name, point: at };
        return (
          <p key={name} className="flex flex-wrap items-baseline gap-x-2 text-[13px]">
            <span className="font-semibold">{name}</span>
            <span className="text-quiet">{aboard ? 'aboard' : 'ashore'}</span>
            {order && (
              <button type="button" className={CALL} onClick={() => live.say(order)}>
                {aboard ? `Step ashore, to ${at}` : `Step aboard, at the ${at}`}
              </button>
            )}
          </p>
        );
      })}
    </div>
  );
}
