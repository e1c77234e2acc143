'use client';
import type { Sheet } from '@/core/trials';
import { RANGE_DRAWS } from '@/core/uncertainty';
import type { Boat } from '@/document';
import { ThrusterChart } from '../charts/ThrusterChart';
import { useUnits } from '../state/preferences';
import { sheetSections, thrusterRanges } from '../words/sheet';
import { BUTTON } from '../parts/AreaFrame';
import type { SheetState } from './use-sheet';

/** What trials on open water say of the boat, computed now; or how far the computing has got. */
export function SheetView({ boat, state }: { boat: Boat; state: SheetState }) {
  const { sheet, share, running, problems } = state;
  if (sheet) return <Lines boat={boat} sheet={sheet} state={state} />;
  return (
    <div className="flex flex-wrap items-center gap-4 py-4">
      {running ? (
        <>
          <progress value={share} max={1} aria-label="Trials run" className="h-2 w-64" />
          <p role="status">
            Trying the boat on open water:{' '}
            <span className="figures">{Math.round(100 * share)} %</span>
          </p>
          <button type="button" className={BUTTON} onClick={state.stop}>
            Stop
          </button>
        </>
      ) : (
        <>
          <p role="status">
            {problems.length > 0
              ? problems.map((p) => `${p.path}: ${p.message}`).join('; ')
              : 'Stopped before the trials were done; nothing is shown half-computed.'}
          </p>
          <button type="button" className={BUTTON} onClick={state.again}>
            Try the boat again
          </button>
        </>
      )}
    </div>
  );
}

/** What the ranges beside the figures are; or how far they are. */
function AboutRanges({ ranges, rangesShare }: SheetState) {
  return (
    <p role="status" className="max-w-[76ch] pt-3 text-[12.5px] text-quiet">
      {ranges
        ? `Beside each figure stands where it lies for nine of ten boats that could be this one: every trial run anew with thrust, prop walk, windage and drag drawn as far out as they may be, ${RANGE_DRAWS} times. A figure somebody has measured is drawn nearer.`
        : `Trying the boat with its figures as far out as they may be, for ranges: ${Math.round(100 * rangesShare)} %`}
    </p>
  );
}

function Lines({ boat, sheet, state }: { boat: Boat; sheet: Sheet; state: SheetState }) {
  const units = useUnits();
  const sections = sheetSections(sheet, boat.hull.length_m, units, state.ranges ?? {});
  return (
    <>
      <AboutRanges {...state} />
      <div className="grid gap-x-12 lg:grid-cols-2">
        <div>
          {sections.slice(0, 2).map((section) => (
            <Section key={section.name} section={section} />
          ))}
        </div>
        <div>
          {sections.slice(2).map((section) => (
            <Section key={section.name} section={section} />
          ))}
        </div>
        {sheet.thrusters.length > 0 && (
          <section aria-label="Thrusters against speed" className="pt-6">
            <h3 className="border-b border-ink pb-1 text-[15px] font-bold">
              What a thruster still turns the boat at, under way
            </h3>
            {sheet.thrusters.map(({ name, at }) => (
              <figure key={name} className="pt-3">
                <figcaption className="font-semibold">{name}</figcaption>
                <ThrusterChart name={name} at={at} units={units} />
              </figure>
            ))}
            <p className="max-w-[54ch] text-[12.5px] text-quiet">
              Rate of turn in neutral against headway; the share is of that from rest, the
              hull&rsquo;s own resistance to turning counted.
              {thrusterRanges(sheet, state.ranges ?? {}).map((text) => ` ${text}`)}
            </p>
          </section>
        )}
      </div>
    </>
  );
}

function Section({ section }: { section: ReturnType<typeof sheetSections>[number] }) {
  return (
    <table className="mt-5 w-full border-collapse text-left">
      <caption className="border-b border-ink pb-1 text-left text-[15px] font-bold">
        {section.name}
      </caption>
      <tbody>
        {section.rows.map((row) => (
          <tr key={row.what} className="rule-b align-baseline">
            <th scope="row" className="w-[46%] py-1.5 pr-3 font-normal">
              {row.what}
            </th>
            <td className="py-1.5">
              <span className="figures text-[16px] font-semibold">{row.figure}</span>
              <span className="figures pl-2 text-[12px] text-quiet">{row.range}</span>
              {row.also && <span className="block text-[12.5px] text-quiet">{row.also}</span>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
