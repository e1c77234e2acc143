'use client';
import type { ScaleLinear } from 'd3-scale';
import type { Run } from '@/core/plan';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { cueText, ordersText } from '../words/steps';
import { END, GUTTER, placeHeads } from './layout';

export const HEADS_HEIGHT = 50;
const WISHED_PX = 128;
const NUMBER_ONLY_PX = 64;

/** The steps over the staves: number, cue, orders. Those not reached wait at the end, drawn hollow. */
export function StepHeads({
  run,
  x,
  width,
}: {
  run: Run;
  x: ScaleLinear<number, number>;
  width: number;
}) {
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const selected = useWorkspace((s) => s.selected);
  const pointed = useWorkspace((s) => s.pointed);
  const select = useWorkspace((s) => s.select);
  const point = useWorkspace((s) => s.point);
  const seek = usePlayhead((p) => p.seek);
  const units = useUnits();

  const begun = new Map(run.steps.map((mark) => [mark.step, mark.time]));
  const entries = [
    ...plan.steps.map((step, i) => ({
      id: step.id,
      label: String(i + 1),
      cue: cueText(step.cue, units),
      words: step.title || ordersText(step.orders, units),
      more: ordersText(step.orders, units),
      time: begun.get(i) ?? null,
    })),
    {
      id: END,
      label: '‖',
      cue: cueText(plan.end.cue, units),
      words: 'end',
      more: 'the run ends',
      time: run.events.some((e) => e.is === 'end') ? run.duration : null,
    },
  ];
  const places = placeHeads(
    entries.map(({ time }) => x(time ?? run.duration)),
    GUTTER,
    width - 4,
    WISHED_PX,
  );

  return (
    <ol className="absolute inset-x-0 top-0" style={{ height: HEADS_HEIGHT }} aria-label="Steps">
      {entries.map((entry, i) => {
        const place = places[i]!;
        const lit = selected === entry.id || pointed === entry.id;
        const reached = entry.time !== null;
        return (
          <li
            key={entry.id}
            className="absolute bottom-0 top-1.5"
            style={{ left: place.x, width: place.width }}
          >
            <button
              type="button"
              aria-pressed={selected === entry.id}
              title={`${entry.cue}: ${entry.more}`}
              onClick={() => {
                select(entry.id);
                if (entry.time !== null) seek(entry.time);
              }}
              onPointerEnter={() => point(entry.id)}
              onPointerLeave={() => point(null)}
              onFocus={() => point(entry.id)}
              onBlur={() => point(null)}
              className={`flex h-full w-full items-start gap-1.5 overflow-hidden text-left focus-visible:-outline-offset-2 ${lit ? 'text-plan' : ''}`}
            >
              <span
                className={`figures mt-0.5 flex size-[20px] shrink-0 items-center justify-center rounded-full border text-[13px] font-bold ${
                  reached
                    ? 'border-plan bg-plan text-on-plan'
                    : 'border-dashed border-quiet text-quiet'
                }`}
              >
                {entry.label}
              </span>
              <span className="sr-only">
                {`${entry.cue}: ${entry.more}${reached ? '' : '; not reached'}`}
              </span>
              {place.width >= NUMBER_ONLY_PX && (
                <span aria-hidden className="min-w-0 text-[12.5px] leading-[15px]">
                  <span className="block truncate text-quiet">{entry.cue}</span>
                  <span className="line-clamp-2 font-semibold">{entry.words}</span>
                </span>
              )}
            </button>
          </li>
        );
      })}
    </ol>
  );
}
