'use client';
import type { ScaleLinear } from 'd3-scale';
import type { Take } from '@/core/score';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { cueText, ordersText } from '../words/beats';
import { END, GUTTER, placeHeads } from './layout';

export const HEADS_HEIGHT = 50;
const WISHED_PX = 128;
const NUMBER_ONLY_PX = 64;

/** The beats over the staves: number, cue, orders. Those not reached wait at the end, drawn hollow. */
export function BeatHeads({
  take,
  x,
  width,
}: {
  take: Take;
  x: ScaleLinear<number, number>;
  width: number;
}) {
  const score = useWorkspace((s) => s.manoeuvre.score);
  const selected = useWorkspace((s) => s.selected);
  const pointed = useWorkspace((s) => s.pointed);
  const select = useWorkspace((s) => s.select);
  const point = useWorkspace((s) => s.point);
  const seek = usePlayhead((p) => p.seek);
  const units = useUnits();

  const begun = new Map(take.beats.map((mark) => [mark.beat, mark.time]));
  const entries = [
    ...score.beats.map((beat, i) => ({
      id: beat.id,
      label: String(i + 1),
      cue: cueText(beat.cue, units),
      words: beat.title || ordersText(beat.orders),
      more: ordersText(beat.orders),
      time: begun.get(i) ?? null,
    })),
    {
      id: END,
      label: '‖',
      cue: cueText(score.end.cue, units),
      words: 'end',
      more: 'the take ends',
      time: take.events.some((e) => e.is === 'end') ? take.duration : null,
    },
  ];
  const places = placeHeads(
    entries.map(({ time }) => x(time ?? take.duration)),
    GUTTER,
    width - 4,
    WISHED_PX,
  );

  return (
    <ol className="absolute inset-x-0 top-0" style={{ height: HEADS_HEIGHT }} aria-label="Beats">
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
