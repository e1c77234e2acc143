'use client';
import type { Brief } from '@/core/brief';
import type { Run } from '@/core/plan';
import { shareOf } from '@/core/reliability';
import { lastWayOut } from '@/core/search';
import { namedPoints, type ManoeuvreFile } from '@/document';
import type { Survey } from '../hooks/use-look';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { briefSentences } from '../words/brief-sentences';
import { clock } from '../words/units';

/** The manoeuvre in five sentences, as it is told on the pontoon; a press on one shows its moment. */
export function InShort({
  brief,
  state: { run, file },
  survey,
  surveyed,
}: {
  brief: Brief;
  state: { readonly run: Run; readonly file: ManoeuvreFile };
  survey: Survey;
  /** Is the survey through? */
  surveyed: boolean;
}) {
  const units = useUnits();
  const seek = usePlayhead((p) => p.seek);
  const boat = useWorkspace((s) => s.boat);
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const goal = useWorkspace((s) => s.manoeuvre.goal);
  const tried = useWorkspace((s) => (s.tried?.file === file ? s.tried.tries : null));
  const point =
    goal.is === 'lie' ? namedPoints(boat).find(({ name }) => name === goal.point) : undefined;
  const across = point?.y ?? 0;
  const sentences = briefSentences(
    {
      brief,
      plan,
      run,
      side: across === 0 ? null : across < 0 ? 'port' : 'starboard',
      berthed: file.berth.length > 0,
      lastWay: surveyed ? lastWayOut(survey.moments.map(({ wayOut }) => wayOut)) : undefined,
      share: tried && shareOf(tried.held, tried.of),
    },
    units,
  );
  return (
    <section aria-label="In short" aria-live="polite" className="pb-3">
      <h2 className="sr-only">In short</h2>
      <ol>
        {sentences.map(({ key, text, time, hurts }) => (
          <li key={key} className="flex gap-2 py-1 text-[15px] leading-snug">
            {hurts && (
              <span aria-hidden className="text-hurt">
                ▲
              </span>
            )}
            <span>
              {text}
              {time !== null && (
                <>
                  {' '}
                  <button
                    type="button"
                    className="text-[13px] text-plan underline underline-offset-3"
                    aria-label={`show it at ${clock(time)}`}
                    onClick={() => seek(time)}
                  >
                    show
                  </button>
                </>
              )}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
