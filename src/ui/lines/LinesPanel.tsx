'use client';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Rope } from '@/core/holding';
import {
  diameterOf,
  type LineDocument,
  type PersonDocument,
  type Result,
  type ScoreDocument,
} from '@/document';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { FieldError } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import { BUTTON } from '../parts/Tries';
import { useNames } from '../score/use-names';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { distance } from '../words/units';
import { beatNaming, freshFender, freshName, withFender, withLine, withPerson } from './edits';
import { FenderRows } from './FenderRows';
import { lieOf, stopsText } from './names';
import { PlainNumber, PlainText } from './PlainFields';

const plain = (values: readonly string[]): ChoiceOption<string>[] =>
  values.map((value) => ({ value, text: value }));

const ROPE_TEXT: readonly ChoiceOption<Rope>[] = [
  { value: 'polyester', text: 'polyester' },
  { value: 'polyamide', text: 'polyamide' },
  { value: 'hmpe', text: 'HMPE' },
];
/** Stands for a line that is not on anything yet. */
const ABOARD = ' aboard';

/** Writes a changed score, or gives back what is wrong with it. */
function useWrite() {
  const store = useWorkspaceStore();
  return (next: (score: ScoreDocument) => Result<ScoreDocument>): string | null => {
    const { manoeuvre, edit } = store.getState();
    const result = next(manoeuvre.score);
    if (!result.ok) return result.problems[0]!.message;
    edit((m) => {
      m.score = result.value;
    });
    return null;
  };
}

/** Lines that are rigged, what each stops, and who is there to handle them. */
export function LinesPanel() {
  const score = useWorkspace((s) => s.manoeuvre.score);
  const rigging = useWorkspace((s) => s.rigging);
  const setRigging = useWorkspace((s) => s.setRigging);
  const { points, ends } = useNames();
  const write = useWrite();
  const [said, setSaid] = useState<string | null>(null);
  const hasHelm = points.includes('helm');
  const hullLength = useWorkspace((s) => s.boat.hull.length_m);
  return (
    <section aria-label="Lines and people" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">Lines and people</h2>
      {score.lines.length === 0 && (
        <p className="pb-1 text-quiet">
          No line is rigged.{' '}
          {ends.length > 0
            ? 'Press a cleat and a bollard on the water.'
            : 'This place has no bollard or pile to make one on to.'}
        </p>
      )}
      {score.lines.map((line, i) => (
        <LineRow
          key={i}
          line={line}
          onChange={(next) => write((now) => withLine(now, i, next))}
          onRemove={() => {
            const beat = beatNaming(score, 'line', line.name);
            if (beat !== null)
              setSaid(`Beat ${beat} uses the ${line.name}; take it out there first.`);
            else setSaid(write((now) => withLine(now, i, null)));
          }}
        />
      ))}
      {score.crew.map((person, i) => (
        <PersonRow
          key={i}
          person={person}
          onChange={(next) => write((now) => withPerson(now, i, next))}
          onRemove={() => {
            const beat = beatNaming(score, 'by', person.name);
            if (beat !== null)
              setSaid(`Beat ${beat} names ${person.name}; take them out there first.`);
            else setSaid(write((now) => withPerson(now, i, null)));
          }}
        />
      ))}
      <FenderRows fenders={score.fenders} write={write} />
      <p className="flex flex-wrap gap-2 pt-1.5">
        <button
          type="button"
          className={BUTTON}
          aria-pressed={rigging}
          disabled={ends.length === 0}
          onClick={() => {
            // Lines are rigged on her as she lies at the start.
            usePlayhead.getState().seek(0);
            setRigging(!rigging);
          }}
        >
          {rigging ? 'Leave off rigging' : 'Rig a line on the water'}
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
      {score.lines.length > 0 && (
        <p className="pt-1.5 text-[12.5px] text-quiet">
          Hands clear of a loaded line and out of its bights; nobody stands in line with one.
          Breaking loads are new rope&rsquo;s less the share told, and known to a third.
        </p>
      )}
    </section>
  );
}

function LineRow({
  line,
  onChange,
  onRemove,
}: {
  line: LineDocument;
  onChange: (next: LineDocument) => string | null;
  onRemove: () => void;
}) {
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const units = useUnits();
  const { points, ends } = useNames();
  const { fast, ...rest } = line;
  const lie = fast ? lieOf(manoeuvre, boat, place, line.from, fast.to) : null;
  return (
    <div className="rule-t py-1.5">
      <div className="flex items-center gap-2">
        <PlainText
          label="Name of the line"
          value={line.name}
          onCommit={(name) => onChange({ ...line, name })}
        />
        <IconButton label={`Take out the ${line.name}`} onClick={onRemove}>
          <Trash2 size={14} />
        </IconButton>
      </div>
      <div className="flex flex-wrap items-baseline gap-x-1.5">
        <span className="text-quiet">from the</span>
        <Choice
          label={`${line.name}: from`}
          value={line.from}
          options={plain(points)}
          onChange={(from) => onChange({ ...line, from })}
        />
        <Choice
          label={`${line.name}: at the start`}
          value={fast?.to ?? ABOARD}
          options={[
            { value: ABOARD, text: 'aboard at the start' },
            ...ends.map((value) => ({ value, text: `fast to ${value}` })),
          ]}
          onChange={(to) => onChange(to === ABOARD ? rest : { ...rest, fast: { to } })}
        />
      </div>
      {lie && (
        <p className="text-[12.5px] text-quiet">
          {distance(lie.lead.length, units)} to go, {stopsText(lie.stops)}
        </p>
      )}
      <details>
        <summary className="cursor-pointer text-[12.5px] text-quiet hover:text-plan">
          {line.doubled ? 'doubled, ' : ''}
          {ROPE_TEXT.find(({ value }) => value === line.rope)!.text}{' '}
          {diameterOf(line, boat.hull.mass_kg)} mm, {line.length_m} m of it
        </summary>
        <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 py-1">
          <Choice
            label={`${line.name}: rope`}
            value={line.rope}
            options={ROPE_TEXT}
            onChange={(rope) => onChange({ ...line, rope })}
          />
          <PlainNumber
            label={`${line.name}: diameter`}
            unit="mm"
            value={diameterOf(line, boat.hull.mass_kg)}
            onCommit={(diameter_mm) => onChange({ ...line, diameter_mm })}
          />
          <PlainNumber
            label={`${line.name}: all there is of it`}
            unit="m long"
            value={line.length_m}
            onCommit={(length_m) => onChange({ ...line, length_m })}
          />
          <PlainNumber
            label={`${line.name}: strength left`}
            unit="% of its strength left"
            value={Math.round(line.strengthLeft * 100)}
            onCommit={(share) => onChange({ ...line, strengthLeft: share / 100 })}
          />
          <Choice
            label={`${line.name}: handled at`}
            value={line.ledTo ?? line.from}
            options={points.map((value) => ({ value, text: `handled at the ${value}` }))}
            onChange={(to) => {
              const { ledTo: _led, ...here } = line;
              onChange(to === line.from ? here : { ...line, ledTo: to });
            }}
          />
          <label className="flex min-h-7 items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-plan"
              checked={line.doubled}
              onChange={(event) => onChange({ ...line, doubled: event.target.checked })}
            />
            doubled, let go from aboard
          </label>
        </div>
      </details>
    </div>
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
