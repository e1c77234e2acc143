'use client';
import { useState, type ReactNode } from 'react';
import type { Differences, Fault, FaultId } from '@/core/debrief';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { changeText } from '../words/changes';
import { GRADE_WORDS, gradeReason, FAULT_WORDS, faultEvidence } from '../words/faults';
import { outcomeWords } from '../words/outcomes';
import { boatSpeed, clock, distance, touchSpeed, type Units } from '../words/units';
import { Notes } from './Notes';
import { Progress } from './Progress';
import { RunList } from './RunList';
import type { ListedRun, OpenReview, useReview } from './use-runs';

const LINK = 'text-plan underline';

/** Beside the water when looking back: how careful it was and why, its faults, what was different, and the other runs. */
export function DebriefPanel({
  runs,
  more,
  review,
  id,
  over,
  onOpen,
  onOver,
  onChanged,
  instruments,
}: {
  runs: readonly ListedRun[] | null;
  more: (() => void) | null;
  review: ReturnType<typeof useReview>;
  id: string | null;
  over: readonly string[];
  onOpen: (id: string | null) => void;
  onOver: (ids: readonly string[]) => void;
  onChanged: () => void;
  /** What instruments recorded. */
  instruments: ReactNode;
}) {
  const setPhase = useWorkspace((s) => s.setPhase);
  const { open, problem } = review;
  if (runs?.length === 0)
    return (
      <Frame>
        <h2 className="text-[20px] font-semibold">Nothing driven yet</h2>
        <p className="pb-2 text-quiet">
          Runs you drive by hand are kept and stand here, to be looked back over.
        </p>
        <button type="button" className={LINK} onClick={() => setPhase('rehearse')}>
          Take the helm
        </button>
        {instruments}
      </Frame>
    );
  return (
    <Frame>
      {problem && (
        <p role="alert" className="font-semibold text-hurt">
          {problem}
        </p>
      )}
      {!open && !problem && <p className="text-quiet">Looking the run over …</p>}
      {open && (
        <>
          <Outcome open={open} />
          <Faults open={open} />
          <Figures open={open} />
          {runs && id && <Different key={id} runs={runs} id={id} review={review} open={open} />}
          <Notes key={open.id} open={open} setNotes={review.setNotes} />
          <p className="rule-t flex flex-wrap gap-x-4 py-2 text-[13px] print:hidden">
            <span className="text-quiet">Keep it as a file:</span>
            <a className={LINK} href={`/api/runs/${open.id}/file?as=json`} download>
              take
            </a>
            <a className={LINK} href={`/api/runs/${open.id}/file?as=csv`} download>
              figures, CSV
            </a>
            {open.file.manoeuvre.place.origin && (
              <a className={LINK} href={`/api/runs/${open.id}/file?as=gpx`} download>
                track, GPX
              </a>
            )}
            <button type="button" className={LINK} onClick={() => window.print()}>
              print
            </button>
          </p>
        </>
      )}
      {runs && (
        <>
          <RunList
            runs={runs}
            more={more}
            id={id}
            over={over}
            onOpen={onOpen}
            onOver={onOver}
            onChanged={onChanged}
          />
          <Progress runs={runs} />
        </>
      )}
      {instruments}
    </Frame>
  );
}

function Frame({ children }: { children: React.ReactNode }) {
  return (
    <aside
      aria-label="Debrief"
      className="relative h-full min-h-0 overflow-y-auto border-l border-ink bg-paper px-5 py-3 max-md:border-l-0 print:h-auto print:overflow-visible"
    >
      {children}
    </aside>
  );
}

/** How it ended, and how careful it was: never by how fast it was done. */
function Outcome({ open }: { open: OpenReview }) {
  const units = useUnits();
  const { reviewed, file } = open;
  const [outcome, behind] = outcomeWords(reviewed.run, file.manoeuvre, units);
  const { grade, because } = reviewed.graded;
  return (
    <section aria-label="How it went" className="pb-2">
      <p className="flex items-baseline justify-between gap-3">
        <span data-testid="debrief-outcome" className="text-[20px] font-semibold">
          {outcome}
        </span>
        <span className="figures text-quiet">{clock(reviewed.run.duration)} long</span>
      </p>
      <p className="text-[13px] text-quiet">{behind}</p>
      <p className="pt-2">
        Handled: <strong data-testid="care">{GRADE_WORDS[grade].toLowerCase()}</strong>
        {because.length > 0 && (
          <span className="text-quiet">
            {' '}
            for {gradeReason(because[0]!, file.manoeuvre.plan, units)}
          </span>
        )}
      </p>
    </section>
  );
}

const MOST_SHOWN = 3;

/** Faults of one kind together, in the order of the rules. */
function byRule(faults: readonly Fault[]): ReadonlyMap<FaultId, readonly Fault[]> {
  const map = new Map<FaultId, Fault[]>();
  for (const fault of faults) map.set(fault.rule, [...(map.get(fault.rule) ?? []), fault]);
  return map;
}

/** Each fault with its moment: pressed, the playhead goes there. */
function Faults({ open }: { open: OpenReview }) {
  const units = useUnits();
  const seek = usePlayhead((p) => p.seek);
  const { faults } = open.reviewed;
  const { plan } = open.file.manoeuvre;
  return (
    <section aria-label="Faults" className="rule-t py-2">
      <h2 className="text-[15px] font-semibold">
        {faults.length === 0 ? 'No faults found' : 'Faults'}
      </h2>
      {faults.length === 0 && (
        <p className="text-[13px] text-quiet">
          Rules look at gears, steering, room, lines and people. They do not see everything.
        </p>
      )}
      <ul data-testid="faults">
        {[...byRule(faults)].map(([rule, found]) => {
          const { name, why, tried } = FAULT_WORDS[rule];
          return (
            <li key={rule} className="rule-t py-1.5">
              <p className="font-semibold">
                {name}
                {found.length > 1 && <span className="figures"> {found.length} times</span>}
              </p>
              {found.slice(0, MOST_SHOWN).map((fault, i) => (
                <button
                  key={i}
                  type="button"
                  className="flex min-h-6 w-full gap-3 text-left text-[13px] hover:text-plan"
                  onClick={() => seek(fault.time)}
                >
                  <span className="figures w-9 shrink-0 text-plan underline">
                    {clock(fault.time)}
                  </span>
                  <span>{faultEvidence(fault, plan, units)}</span>
                </button>
              ))}
              {found.length > MOST_SHOWN && (
                <p className="text-[13px] text-quiet">
                  and {found.length - MOST_SHOWN} more, marked over the traces
                </p>
              )}
              <p className="text-[13px] text-quiet">
                Why it matters: {why} <span className="text-ink">Try: {tried}</span>
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Figures({ open }: { open: OpenReview }) {
  const units = useUnits();
  const { handling, run } = open.reviewed;
  const rows = figuresOf(open, units);
  return (
    <section aria-label="Figures" className="rule-t py-2">
      <h2 className="text-[15px] font-semibold">In figures</h2>
      <dl className="grid grid-cols-[1fr_auto] gap-x-4 text-[13px]">
        {handling.speeds.map(({ lengths, speed, time }) =>
          speed === null ? null : (
            <Figure
              key={lengths}
              name={`${lengths} ${lengths === 1 ? 'length' : 'lengths'} off, at ${clock(time!)}`}
              text={boatSpeed(speed, units)}
            />
          ),
        )}
        {rows.map(([name, text]) => (
          <Figure key={name} name={name} text={text} />
        ))}
        {run.touches.map((touch, i) => (
          <Figure
            key={`touch-${i}`}
            name={`${touch.grade} touch, ${touch.name}, ${touch.fender ?? touch.part}, ${clock(touch.time)}`}
            text={`${touchSpeed(touch.speed)}, ${Math.round(touch.energy)} J`}
          />
        ))}
      </dl>
    </section>
  );
}

function Figure({ name, text }: { name: string; text: string }) {
  return (
    <div className="contents">
      <dt className="rule-t py-0.5 text-quiet">{name}</dt>
      <dd className="rule-t figures py-0.5 text-right">{text}</dd>
    </div>
  );
}

function figuresOf({ reviewed, file }: OpenReview, units: Units): [string, string][] {
  const { handling, run } = reviewed;
  const { clearance } = run;
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  return [
    ...(clearance && Number.isFinite(clearance.distance)
      ? ([
          [
            `least clearance: ${clearance.name}, ${clearance.part}, ${clock(clearance.time)}`,
            distance(Math.max(0, clearance.distance), units),
          ],
        ] as [string, string][])
      : []),
    ['fastest through the water', boatSpeed(handling.fastest, units)],
    ['gear shifts', String(handling.gearShifts)],
    ['in neutral', `${Math.round(handling.neutral)} s of ${Math.round(handling.duration)} s`],
    [
      'throttle in gear, mean and most',
      `${percent(handling.throttleMean)}, ${percent(handling.throttleMost)}`,
    ],
    ...(file.manoeuvre.boat.thrusters.length > 0
      ? ([['thruster', `${handling.thrusterSeconds.toFixed(0)} s at full power`]] as [
          string,
          string,
        ][])
      : []),
    ...handling.loads.map(({ line, tension, breaks }): [string, string] => [
      file.manoeuvre.plan.lines[line]?.name ?? 'line',
      percent(tension / breaks),
    ]),
  ];
}

/** What was different from another run: each change undone by itself and the run played again. */
function Different({
  runs,
  id,
  review,
  open,
}: {
  runs: readonly ListedRun[];
  id: string;
  review: ReturnType<typeof useReview>;
  open: OpenReview;
}) {
  const units = useUnits();
  const others = runs.filter((run) => run.id !== id);
  const [held, setHeld] = useState<string | null>(null);
  const [found, setFound] = useState<Differences | string | null>(null);
  const [busy, setBusy] = useState(false);
  if (others.length === 0) return null;
  const number = (one: string) => runs.find((run) => run.id === one)?.number;
  const ask = async (reference: string) => {
    setHeld(reference);
    setBusy(true);
    setFound(await review.compare(reference));
    setBusy(false);
  };
  const { boat, plan } = open.file.manoeuvre;
  return (
    <section aria-label="What was different" className="rule-t py-2">
      <h2 className="text-[15px] font-semibold">What was different</h2>
      <p className="flex flex-wrap gap-x-3 text-[13px]">
        <span className="text-quiet">from run</span>
        {others.map((run) => (
          <button
            key={run.id}
            type="button"
            aria-pressed={held === run.id}
            className={`figures ${held === run.id ? 'bg-plan px-1.5 text-on-plan' : LINK}`}
            onClick={() => void ask(run.id)}
          >
            {number(run.id)}
          </button>
        ))}
      </p>
      {busy && (
        <p className="text-[13px] text-quiet">
          Playing it again with one thing changed at a time …
        </p>
      )}
      {!busy && typeof found === 'string' && (
        <p role="alert" className="text-[13px] font-semibold text-hurt">
          {found}
        </p>
      )}
      {!busy && found && typeof found !== 'string' && (
        <>
          <p className="text-[13px] text-quiet">
            It ended {distance(found.came.apart, units)} from where that one did; hardest touch{' '}
            {touchSpeed(found.came.touch[1])} against {touchSpeed(found.came.touch[0])}.{' '}
            {found.tried} {found.tried === 1 ? 'change was' : 'changes were'} tried by playing
            again.
          </p>
          <ol data-testid="causes">
            {found.causes.length === 0 && <li>No single change takes a tenth of that away.</li>}
            {found.causes.map(({ change, share }, i) => (
              <li key={i} className="rule-t flex justify-between gap-3 py-1">
                <span>{changeText(change, { boat, plan })}</span>
                <span className="figures shrink-0 text-quiet">
                  {Math.round(100 * Math.min(1, share))} % of it
                </span>
              </li>
            ))}
          </ol>
        </>
      )}
    </section>
  );
}
