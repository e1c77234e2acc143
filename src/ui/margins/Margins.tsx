'use client';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { stopsComputing } from '@/workers';
import { gathered } from '../words/problems';
import { openings, readings, surprises } from '../words/run';
import { outcomeWords } from '../words/outcomes';
import type { VariationDocument } from '@/document';
import type { Survey } from '../hooks/use-look';
import type { RunState } from '../hooks/use-run';
import { clock } from '../words/units';
import { Holds } from './Holds';
import { Go, Row } from './Row';

/** How the run went: outcome, clearance, touch, and what was not as expected. Words first, figures beside. */
export function Margins({
  state,
  survey,
  surveyed,
  variation,
}: {
  state: RunState;
  survey: Survey;
  /** Is the survey through? The water and its band come first, then how sure the plan is. */
  surveyed: boolean;
  variation: VariationDocument;
}) {
  const seek = usePlayhead((p) => p.seek);
  const units = useUnits();
  const { run, file, problems } = state;
  if (!run) {
    return problems.length > 0 ? (
      <Problems state={state} />
    ) : (
      <p className="text-quiet">Playing …</p>
    );
  }
  const [outcome, behind] = outcomeWords(run, file, units);
  const good = run.outcome === 'reached';
  const list = surprises(run, file, units);
  return (
    <section aria-label="This run" aria-live="polite">
      {problems.length > 0 && <Problems state={state} />}
      <p className="flex items-baseline justify-between gap-2">
        <span
          data-testid="outcome"
          className={`text-[20px] font-bold leading-tight ${good ? '' : 'border-l-4 border-hurt-fill pl-2 text-hurt'}`}
        >
          {outcome}
        </span>
        <span className="figures text-[15px] text-quiet">{clock(run.duration)} long</span>
      </p>
      <p className="text-[13px] text-quiet">{behind}</p>
      <ul className="mt-2">
        <Holds file={surveyed && problems.length === 0 ? file : null} variation={variation} />
        {[...readings(run, file.plan, units), ...openings(survey, units)].map((reading) => (
          <Row key={reading.meaning} reading={reading} seek={seek} />
        ))}
        {list.map(({ time, text }) => (
          <li key={`${time}-${text}`} className="rule-t py-1.5 text-[13px]">
            <Go time={time} seek={seek}>
              <span className="figures w-[108px] shrink-0 font-semibold text-hurt">
                ▲ {clock(time)}
              </span>
              <span>{text}</span>
            </Go>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Problems({ state: { problems, run } }: { state: RunState }) {
  // A plan may be sound, and its computation end all the same.
  const stopped = problems.every(stopsComputing);
  return (
    <div role="alert" className="mb-2 border-l-4 border-hurt-fill pl-2">
      <p className="font-semibold text-hurt">
        {stopped ? 'This was not played' : 'This cannot be played'}
        {run ? (stopped ? '; an earlier run is shown' : '; the last run that could is shown') : ''}.
      </p>
      <ul className="text-[13px]">
        {gathered(problems)
          .slice(0, 4)
          .map(({ message, where }) => (
            <li key={message}>
              {message}
              {!stopped && (
                <>
                  : <span className="text-quiet">{where}</span>
                </>
              )}
            </li>
          ))}
      </ul>
    </div>
  );
}
