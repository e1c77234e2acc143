'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { HOLDS_ENOUGH, SCHOOLS, SUGGEST_S, type School, type SchoolOf } from '@/core/policy';
import { NO_VARIATION, type Manoeuvre, type ManoeuvreFile } from '@/document';
import type { Remedy, SuggestedPlan, SuggestionSoFar } from '@/planner';
import { useJob } from '../hooks/use-job';
import type { RunState } from '../hooks/use-run';
import { Choice } from '../parts/Choice';
import { BUTTON } from '../parts/Tries';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePreferences, useUnits } from '../state/preferences';
import { RoseSection } from '../what-if/RoseSection';
import { refusalWords } from '../words/refusals';
import {
  doingWords,
  failsWords,
  holdsWords,
  possibleWords,
  remedyWords,
  SCHOOL_TITLES,
  SCHOOL_WORDS,
  wayWords,
} from '../words/suggestions';

/** Was the manoeuvre begun with a suggested plan? */
const asksForOne = () => new URLSearchParams(window.location.search).has('suggest');

/** Has plans looked for and tried. Begun by itself where a new manoeuvre was asked for with a plan. */
export function SuggestPlan({ state }: { state: RunState }) {
  return <SuggestedPlans file={state.file} job={useJob('suggest')} atOnce={asksForOne} />;
}

/** Plans as they are found; one of them is put in as one edit. @param atOnce is it to begin by itself, and the surest to be put in? */
export function SuggestedPlans({
  file,
  job: { found, busy, problems, run, stop },
  atOnce: asks,
}: {
  file: ManoeuvreFile;
  job: ReturnType<typeof useJob<'suggest'>>;
  atOnce: () => boolean;
}) {
  const store = useWorkspaceStore();
  const goal = useWorkspace((s) => s.manoeuvre.goal);
  const begunOn = useRef<Manoeuvre | null>(null);
  const [soughtFor, setSoughtFor] = useState(file);
  const [putIn, setPutIn] = useState<'put in' | 'overtaken' | null>(null);

  /** What was changed meanwhile is the user's: a plan for what was there is not written over it. */
  const put = useCallback(
    (change: (m: Manoeuvre) => void) => {
      if (store.getState().manoeuvre !== begunOn.current) return setPutIn('overtaken');
      store.getState().edit(change);
      store.getState().select(null);
      begunOn.current = store.getState().manoeuvre;
      setPutIn('put in');
    },
    [store],
  );
  const putPlan = ({ plan }: Pick<SuggestedPlan, 'plan'>) =>
    put((m) => {
      m.plan = plan;
    });
  const tryRemedy = ({ wind, goal: aimed, plan }: Remedy) =>
    put((m) => {
      m.conditions.wind.speed_mps = wind;
      delete m.conditions.wind.changes;
      m.goal = aimed;
      m.plan = plan;
    });
  const asked = useRef(false);
  useEffect(() => {
    // Whoever asked for a plan to begin with has the surest as soon as it is known which that is.
    const known = found && found.doing !== 'choosing' && found.doing !== 'certifying';
    const best = known ? found.plans[0] : undefined;
    if (!asked.current || !best) return;
    asked.current = false;
    put((m) => {
      m.plan = best.plan;
    });
  }, [found, put]);
  const begin = useCallback(() => {
    begunOn.current = store.getState().manoeuvre;
    setSoughtFor(file);
    setPutIn(null);
    run({ file, seconds: SUGGEST_S, school: usePreferences.getState().handling });
  }, [store, run, file]);
  useEffect(() => {
    if (!asks()) return;
    // Once all is laid out: who does the work is there by then.
    const timer = setTimeout(() => {
      asked.current = true;
      // Coming back to the page does not ask again.
      window.history.replaceState(null, '', window.location.pathname);
      begin();
    });
    return () => clearTimeout(timer);
  }, [asks, begin]);

  if (goal.is === 'through') return null;
  return (
    <section aria-label="Suggest a plan" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">Suggest a plan</h2>
      {!busy && !found && (
        <p className="pb-1.5 text-[12.5px] text-quiet">
          Ways by short bursts ahead and astern, or in on a bow spring; each tried with the wind,
          the boat, the start and the person varied.
        </p>
      )}
      {!busy && <Taught />}
      {busy ? (
        <Doing found={found} onStop={stop} />
      ) : (
        <button type="button" className={BUTTON} onClick={begin}>
          {found ? 'Suggest again' : 'Suggest a plan'}
        </button>
      )}
      {found && <Found file={soughtFor} found={found} onPut={putPlan} onRemedy={tryRemedy} />}
      {putIn && (
        <p role="status" className="pt-1">
          {putIn === 'put in'
            ? 'It stands in the plan. Undo takes it out again.'
            : 'The manoeuvre was changed meanwhile, so nothing was put in. Ask again.'}
        </p>
      )}
      {problems.length > 0 && (
        <p role="alert" className="border-l-4 border-hurt-fill pl-2">
          {problems.map(({ message }) => message).join('; ')}
        </p>
      )}
    </section>
  );
}

/** How whoever asks was taught to handle a boat; remembered. */
function Taught() {
  const hasThruster = useWorkspace((s) => s.boat.thrusters.length > 0);
  const asked: readonly SchoolOf[] = hasThruster
    ? ['throttle', 'thruster', 'spring']
    : ['throttle', 'spring'];
  return (
    <details className="pb-1.5 text-[12.5px]">
      <summary className="cursor-pointer py-1 text-quiet">How you were taught</summary>
      <ul className="grid gap-1 pt-0.5">
        {asked.map((of) => (
          <li key={of} className="flex flex-wrap items-baseline gap-x-2">
            <span aria-hidden>{SCHOOL_TITLES[of]}</span>
            <OneSchool of={of} />
          </li>
        ))}
      </ul>
    </details>
  );
}

function OneSchool<K extends SchoolOf>({ of }: { of: K }) {
  const value = usePreferences((p) => p.handling[of]);
  const set = usePreferences((p) => p.setHandling);
  const words: Readonly<Record<string, string>> = SCHOOL_WORDS[of];
  return (
    <Choice
      label={SCHOOL_TITLES[of]}
      value={value}
      options={SCHOOLS[of].map((one) => ({ value: one, text: words[one]! }))}
      onChange={(one) => set(of, one as School[K])}
    />
  );
}

function Doing({ found, onStop }: { found: SuggestionSoFar | null; onStop: () => void }) {
  return (
    <p role="status" className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <span className="w-full">{doingWords(found?.doing ?? 'laying')} …</span>
      <progress
        aria-label="Tries made"
        value={found?.made ?? 0}
        max={found?.of || 1}
        className="h-2 w-28"
      />
      <span className="figures">
        {found?.made ?? 0} of {found?.of ?? 0}
      </span>
      <button type="button" className={BUTTON} onClick={onStop}>
        Stop
      </button>
    </p>
  );
}

/** Winds a plan that was found holds in. @param file the manoeuvre as it stood when it was looked for */
function PlanRose({ file, plan }: { file: ManoeuvreFile; plan: SuggestedPlan['plan'] }) {
  const planned = useMemo(() => ({ ...file, plan }), [file, plan]);
  return (
    <div className="pt-0.5">
      <RoseSection file={planned} variation={NO_VARIATION} small />
    </div>
  );
}

function Found({
  file,
  found: { plans, reference, refused, remedies, doing },
  onPut,
  onRemedy,
}: {
  file: ManoeuvreFile;
  found: SuggestionSoFar;
  onPut: (plan: SuggestedPlan) => void;
  onRemedy: (remedy: Remedy) => void;
}) {
  const units = useUnits();
  const hasThruster = useWorkspace((s) => s.boat.thrusters.length > 0);
  if (refused)
    return (
      <p role="alert" className="mt-1 border-l-4 border-hurt-fill pl-2">
        There is none: {refusalWords(refused)}.
      </p>
    );
  const enough = plans.some(({ certificate }) => certificate.share >= HOLDS_ENOUGH);
  return (
    <>
      <ol className="pt-2" aria-label="Plans found">
        {plans.map((one) => {
          const { certificate, plan, way } = one;
          const fails = failsWords(certificate, plan);
          return (
            <li key={`${way.most} ${way.thrusters} ${way.spring}`} className="rule-t py-1.5">
              <p className="font-semibold">{holdsWords(certificate)}</p>
              <p>{wayWords(one, hasThruster, units)}</p>
              {fails && <p className="text-[12.5px] text-quiet">{fails}</p>}
              <button
                type="button"
                className="py-1 text-plan underline underline-offset-3"
                onClick={() => onPut(one)}
              >
                Put it in the plan
              </button>
              {doing === null && <PlanRose file={file} plan={plan} />}
            </li>
          );
        })}
      </ol>
      {reference && <p className="text-[12.5px] text-quiet">{possibleWords(reference)}</p>}
      {doing === null && plans.length > 0 && !enough && (
        <div className="mt-1 border-l-4 border-hurt-fill pl-2">
          <p className="font-semibold">None of them holds in 95 of 100.</p>
          {remedies.length === 0 && (
            <p>Nor does it with less wind or the other way round. Choose another hour or berth.</p>
          )}
          {remedies.map((remedy) => (
            <p key={remedy.is}>
              {remedyWords(remedy, units)}.{' '}
              <button
                type="button"
                className="text-plan underline underline-offset-3"
                onClick={() => onRemedy(remedy)}
              >
                Try it
              </button>
            </p>
          ))}
        </div>
      )}
    </>
  );
}
