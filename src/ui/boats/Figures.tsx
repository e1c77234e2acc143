'use client';
import { useState, type FormEvent } from 'react';
import { basisFor, boatSchema, check, type Boat, type Problem } from '@/document';
import { figureWords, spreadWords } from '../words/boat';
import { figureGroups, withFigure, type Figure, type FigureGroup } from './own-figures';

/** Every figure of the record with its basis; each can be set by hand, and is checked before it is kept. */
export function Figures({
  boat,
  onSave,
}: {
  boat: Boat;
  onSave: (boat: Boat) => Promise<readonly Problem[]>;
}) {
  const groups = figureGroups(boat);
  const families = [...new Set(groups.flatMap(({ family }) => family ?? []))];
  return (
    <>
      <p className="max-w-[70ch] pb-1 pt-1 text-[13.5px]">
        Change a figure: it is kept, noted as set by hand, and the trials are run anew. What trials
        with the real boat have taught belongs here.
      </p>
      <Groups groups={groups.filter((g) => g.family === null)} boat={boat} onSave={onSave} />
      {families.map((family) => {
        const of = groups.filter((g) => g.family === family);
        return (
          <details key={family} className="border-t border-ink py-2">
            <summary className="cursor-pointer text-[15px] font-bold">
              {family} <span className="figures font-normal text-quiet">{of.length}</span>
            </summary>
            <div className="pt-3">
              <Groups groups={of} boat={boat} onSave={onSave} />
            </div>
          </details>
        );
      })}
    </>
  );
}

function Groups({
  groups,
  boat,
  onSave,
}: {
  groups: readonly FigureGroup[];
  boat: Boat;
  onSave: (boat: Boat) => Promise<readonly Problem[]>;
}) {
  return (
    <div className="gap-x-12 lg:columns-2">
      {groups.map((group) => (
        <table
          key={group.name}
          className="mb-5 w-full break-inside-avoid border-collapse text-left"
        >
          <caption className="border-b border-ink pb-1 text-left text-[15px] font-bold">
            {group.name}
          </caption>
          <tbody>
            {group.figures.map((figure) => (
              <Row
                key={`${figure.path} ${figure.value}`}
                boat={boat}
                figure={figure}
                onSave={onSave}
              />
            ))}
          </tbody>
        </table>
      ))}
    </div>
  );
}

function Row({
  boat,
  figure,
  onSave,
}: {
  boat: Boat;
  figure: Figure;
  onSave: (boat: Boat) => Promise<readonly Problem[]>;
}) {
  const [text, setText] = useState(String(figure.value));
  const [wrong, setWrong] = useState('');
  const { name, unit } = figureWords(figure.path);
  const basis = basisFor(boat, figure.path);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (Number(text) === figure.value && text.trim() !== '') return;
    const next = withFigure(boat, figure.path, text.trim() === '' ? NaN : Number(text));
    const checked = check<Boat>(boatSchema, next);
    const problems = checked.ok ? await onSave(checked.value) : checked.problems;
    const first = problems.find((p) => p.path === figure.path) ?? problems[0];
    setWrong(
      first ? (first.path === figure.path ? first.message : `${first.path} ${first.message}`) : '',
    );
  };
  return (
    <tr className="rule-b align-baseline">
      <th scope="row" className="w-[46%] py-1 pr-2 text-[13.5px] font-normal">
        {name}
      </th>
      <td className="py-1">
        <form onSubmit={(event) => void submit(event)} className="inline whitespace-nowrap">
          <input
            aria-label={`${name}, ${figure.path}`}
            aria-invalid={wrong ? true : undefined}
            inputMode="decimal"
            className="figures w-[86px] text-[14.5px]"
            value={text}
            onChange={(event) => setText(event.target.value)}
            onBlur={(event) => event.currentTarget.form?.requestSubmit()}
          />
          <span className="pl-1 text-[12.5px] text-quiet">{unit}</span>
        </form>
        {wrong && (
          <span role="alert" className="block text-[12.5px] font-semibold text-hurt">
            {wrong}
          </span>
        )}
      </td>
      <td className="py-1 pl-2 text-[12px] text-quiet">
        {basis ? (
          <>
            {basis.how},{' '}
            <span className="figures">{spreadWords(figure.field, basis.spread_pct)}</span>
            {basis.note && <span className="block">{basis.note}</span>}
          </>
        ) : (
          'not said'
        )}
      </td>
    </tr>
  );
}
