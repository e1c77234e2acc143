'use client';
import { Printer } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { Brief } from '@/core/brief';
import type { Survey } from '../hooks/use-look';
import type { RunState } from '../hooks/use-run';
import { useWorkspace } from '../state/context';
import { useUnits } from '../state/preferences';
import { LINK } from '../parts/AreaFrame';
import { pushStatements } from '../words/brief';
import { checkText, SHEET_WORDS } from '../words/lock-sheets';
import { READY_WORDS, CAUTION_WORDS } from '../words/ready';
import { openings } from '../words/run';
import { outcomeWords } from '../words/outcomes';
import { weatherText } from '../words/weather';
import { CardSteps } from './CardSteps';
import { CardList } from './CardList';
import { CardLock } from './CardLock';

/** Sizes the card is read at, px, and on paper, pt. */
const SIZES = [17, 21, 27] as const;
const ON_PAPER_PT = [8, 9.5, 12] as const;

/** What is taken aboard: who does what when, what is ticked off before and in a lock, what hurts. Read at arm’s length, and printed. */
export function Card({
  state,
  brief,
  busy,
  survey,
}: {
  state: RunState;
  brief: Brief | null;
  busy: boolean;
  survey: Survey;
}) {
  const units = useUnits();
  const title = useWorkspace((s) => s.manoeuvre.title);
  const conditions = useWorkspace((s) => s.manoeuvre.conditions);
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const [size, setSize] = useState(1);
  const { run, file } = state;
  const pushes = brief
    ? pushStatements(brief, units).filter(({ hurts }, i) => i === 0 || hurts)
    : [];
  return (
    <div
      className="col-span-2 row-span-2 min-h-0 overflow-y-auto bg-paper px-6 pb-10 pt-4 max-md:px-3 print:overflow-visible print:p-0"
      style={{ '--card': `${SIZES[size]}px`, '--card-paper': `${ON_PAPER_PT[size]}pt` } as never}
      data-testid="card"
    >
      <div className="card-type">
        <header className="flex flex-wrap items-baseline gap-x-6 border-b-2 border-ink pb-2">
          <h2 className="text-[1.35em] font-extrabold tracking-tight">{title}</h2>
          <p className="text-[0.85em]">
            {boat.name}, {place.name}
          </p>
          <p className="ml-auto flex items-baseline gap-4 text-[14px] print:hidden">
            <span role="group" aria-label="Size of type" className="flex gap-1">
              {SIZES.map((px, i) => (
                <button
                  key={px}
                  type="button"
                  aria-pressed={size === i}
                  aria-label={['smaller type', 'usual type', 'larger type'][i]}
                  className={`flex size-10 items-center justify-center ${size === i ? 'border-b-4 border-plan font-semibold' : 'border-b-4 border-transparent text-quiet hover:text-plan'}`}
                  style={{ fontSize: 13 + 5 * i }}
                  onClick={() => setSize(i)}
                >
                  A
                </button>
              ))}
            </span>
            <button
              type="button"
              className={`flex items-center gap-2 ${LINK}`}
              onClick={() => window.print()}
            >
              <Printer size={15} aria-hidden /> Print, or keep as PDF
            </button>
          </p>
        </header>
        <p className="py-1.5">{weatherText(conditions, units)}</p>
        <Verdict state={state} survey={survey} />
        <div
          aria-busy={busy}
          className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-x-10 pt-2 max-md:block print:grid print:gap-x-6"
        >
          <div>
            <CardSteps file={file} run={run} />
            {brief?.sheets.map(({ sheet, items }) => (
              <CardList
                key={sheet}
                name={SHEET_WORDS[sheet]}
                items={items.map((item) => ({
                  tick: item.check,
                  text: checkText(item, units),
                  hurts: item.hurts,
                }))}
              />
            ))}
          </div>
          <div>
            {brief?.locks.map((ahead) => (
              <CardLock key={ahead.lock} ahead={ahead} />
            ))}
            {brief && (
              <CardList
                name="Make ready"
                items={brief.ready.map((item) => ({
                  tick: item,
                  text: READY_WORDS[item],
                  hurts: false,
                }))}
              />
            )}
            <Part name="What pushes the boat">
              <ul>
                {pushes.map(({ key, text }) => (
                  <li key={key} className="rule-t py-1">
                    {text}
                  </li>
                ))}
              </ul>
            </Part>
            <Part name="Mind">
              <ul className="text-[0.9em]">
                {brief?.cautions.map((caution) => (
                  <li key={caution} className="rule-t py-1">
                    {CAUTION_WORDS[caution]}
                  </li>
                ))}
                <li className="rule-t py-1">
                  A rehearsal, not navigation; models err, keep a margin. Local rules, the harbour
                  or lock keeper, the boat’s manual and qualified instruction come first.
                </li>
              </ul>
            </Part>
            {busy && (
              <p role="status" className="rule-t py-1 text-[0.8em] text-quiet">
                Working it out …
              </p>
            )}
          </div>
        </div>
      </div>
    </div>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name} className="pt-3">
      <h3 className="text-[0.85em] font-semibold">{name}</h3>
      {children}
    </section>
  );
}

/** Whether what stands on the card comes off at all, and up to what wind: a card of a run that fails says so first. */
function Verdict({ state: { run, file, problems }, survey }: { state: RunState; survey: Survey }) {
  const units = useUnits();
  if (problems.length > 0)
    return (
      <p className="rule-t py-1.5 font-semibold text-hurt">
        ▲ It cannot be played as it stands: {problems[0]!.message}
      </p>
    );
  if (!run) return <p className="rule-t py-1.5 text-quiet">Playing it …</p>;
  const [word, reason] = outcomeWords(run, file, units);
  if (run.outcome !== 'reached')
    return (
      <p className="rule-t py-1.5 font-semibold text-hurt" data-testid="card-fails">
        ▲ Rehearsed as it stands it fails: {word.toLowerCase()}, {reason}. Not a card to go by.
      </p>
    );
  const open = openings(survey, units).map(({ figure, meaning, where }) => {
    const words = `${meaning}: ${figure}${where ? `, ${where}` : ''}`;
    return words[0]!.toUpperCase() + words.slice(1);
  });
  return <p className="rule-t py-1.5">{[`Rehearsed: ${reason || 'done'}`, ...open].join('. ')}.</p>;
}
