'use client';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { MOST_LINES } from '@/core/simulation';
import type { LineDocument, PersonDocument, Result, PlanDocument } from '@/document';
import { Choice } from '../parts/Choice';
import { FieldError } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import { BUTTON } from '../parts/Tries';
import { useNames } from '../plan/use-names';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { stepNaming, freshFender, freshName, withFender, withLine, withPerson } from './edits';
import { FenderRows } from './FenderRows';
import { LineRow } from './LineRow';
import { PlainNumber, PlainText } from './PlainFields';

/** Writes a changed plan, or gives back what is wrong with it. */
function useWrite() {
  const store = useWorkspaceStore();
  return (next: (plan: PlanDocument) => Result<PlanDocument>): string | null => {
    const { manoeuvre, edit } = store.getState();
    const result = next(manoeuvre.plan);
    if (!result.ok) return result.problems[0]!.message;
    edit((m) => {
      m.plan = result.value;
    });
    return null;
  };
}

/** An anchor on chain at the bow: five lengths of the boat, the usual weight for it. */
function freshAnchor(lines: PlanDocument['lines'], length: number): LineDocument {
  return {
    name: freshName(lines, 'bow anchor'),
    from: 'bow',
    length_m: Math.min(300, Math.max(30, Math.round(5 * length))),
    rope: 'polyester',
    strengthLeft: 0.8,
    doubled: false,
    winch_N: 3000,
    anchor: { depth_m: 4, bottom: 'sand' },
  };
}

/** Lines that are rigged, what each stops, and who is there to handle them. */
export function LinesPanel() {
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const rigging = useWorkspace((s) => s.rigging);
  const setRigging = useWorkspace((s) => s.setRigging);
  const { points, ends } = useNames();
  const write = useWrite();
  const [said, setSaid] = useState<string | null>(null);
  const hasHelm = points.includes('helm');
  const hullLength = useWorkspace((s) => s.boat.hull.length_m);
  return (
    <section aria-label="Lines and crew" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">Lines and crew</h2>
      {plan.lines.length === 0 && (
        <p className="pb-1 text-quiet">
          No line is rigged.{' '}
          {ends.length > 0
            ? 'Press a cleat and a bollard on the water.'
            : 'This place has no bollard or pile to make one on to.'}
        </p>
      )}
      {plan.lines.map((line, i) => (
        <LineRow
          key={i}
          line={line}
          onChange={(next) => write((now) => withLine(now, i, next))}
          onRemove={() => {
            const step = stepNaming(plan, 'line', line.name);
            if (step !== null)
              setSaid(`Step ${step} uses the ${line.name}; take it out there first.`);
            else setSaid(write((now) => withLine(now, i, null)));
          }}
        />
      ))}
      {plan.crew.map((person, i) => (
        <PersonRow
          key={i}
          person={person}
          onChange={(next) => write((now) => withPerson(now, i, next))}
          onRemove={() => {
            const step = stepNaming(plan, 'by', person.name);
            if (step !== null)
              setSaid(`Step ${step} names ${person.name}; take them out there first.`);
            else setSaid(write((now) => withPerson(now, i, null)));
          }}
        />
      ))}
      <FenderRows fenders={plan.fenders} write={write} />
      <p className="flex flex-wrap gap-2 pt-1.5">
        <button
          type="button"
          className={BUTTON}
          aria-pressed={rigging}
          disabled={ends.length === 0}
          onClick={() => {
            // Lines are rigged on the boat as it lies at the start.
            usePlayhead.getState().seek(0);
            setRigging(!rigging);
          }}
        >
          {rigging ? 'Stop rigging' : 'Rig a line on the water'}
        </button>
        <button
          type="button"
          className={BUTTON}
          disabled={plan.lines.length >= MOST_LINES}
          onClick={() =>
            setSaid(
              write((now) => ({
                ok: true,
                value: { ...now, lines: [...now.lines, freshAnchor(now.lines, hullLength)] },
              })),
            )
          }
        >
          Add an anchor
        </button>
        <button
          type="button"
          className={BUTTON}
          onClick={() =>
            setSaid(
              write((now) => ({
                ok: true,
                value: {
                  ...now,
                  crew: [
                    ...now.crew,
                    {
                      name: freshName(now.crew, now.crew.length === 0 ? 'helm' : 'crew'),
                      at: {
                        aboard:
                          now.crew.length === 0 && hasHelm ? 'helm' : (points[0] ?? 'midships'),
                      },
                      pull_N: 300,
                      throws_m: 8,
                    },
                  ].slice(0, 6),
                },
              })),
            )
          }
        >
          Add somebody
        </button>
        <button
          type="button"
          className={BUTTON}
          onClick={() =>
            setSaid(
              write((now) => withFender(now, now.fenders.length, freshFender(now, hullLength))),
            )
          }
        >
          Hang a fender
        </button>
      </p>
      <FieldError error={said ?? undefined} />
      {plan.lines.length > 0 && (
        <p className="pt-1.5 text-[12.5px] text-quiet">
          Hands clear of a loaded line and out of its bights; nobody stands in line with one.
          Breaking loads are new rope&rsquo;s less the share told, and known to a third.
        </p>
      )}
    </section>
  );
}

function PersonRow({
  person,
  onChange,
  onRemove,
}: {
  person: PersonDocument;
  onChange: (next: PersonDocument) => string | null;
  onRemove: () => void;
}) {
  const { points, marks } = useNames();
  const aboard = 'aboard' in person.at;
  const where = 'aboard' in person.at ? `a ${person.at.aboard}` : `s ${person.at.ashore}`;
  return (
    <div className="rule-t flex flex-wrap items-center gap-x-2 py-1.5">
      <div className="flex w-full items-center gap-2">
        <PlainText
          label="Name of somebody"
          value={person.name}
          onCommit={(name) => onChange({ ...person, name })}
        />
        <IconButton label={`Take out ${person.name}`} onClick={onRemove}>
          <Trash2 size={14} />
        </IconButton>
      </div>
      <Choice
        label={`${person.name}: where at the start`}
        value={where}
        options={[
          ...points.map((point) => ({ value: `a ${point}`, text: `aboard, ${point}` })),
          ...marks.map((mark) => ({ value: `s ${mark}`, text: `ashore, ${mark}` })),
        ]}
        onChange={(chosen) => {
          const name = chosen.slice(2);
          onChange({
            ...person,
            at: chosen.startsWith('a ') ? { aboard: name } : { ashore: name },
          });
        }}
      />
      <PlainNumber
        label={`${person.name}: pull`}
        unit="N pull"
        value={person.pull_N}
        onCommit={(pull_N) => onChange({ ...person, pull_N })}
      />
      {aboard && (
        <PlainNumber
          label={`${person.name}: throws a line`}
          unit="m throw"
          value={person.throws_m}
          onCommit={(throws_m) => onChange({ ...person, throws_m })}
        />
      )}
    </div>
  );
}
