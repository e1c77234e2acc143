'use client';
import { useEffect, useState } from 'react';
import type { MooringHold, Motored } from '@/core/brief';
import { WORKING_LOAD } from '@/core/policy';
import { useJob } from '../hooks/use-job';
import type { RunState } from '../hooks/use-run';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { useUnits } from '../state/preferences';
import { orderText, settlesText, withoutText } from '../words/holding';
import { force, type Units } from '../words/units';

const MOTORS: readonly ChoiceOption<string>[] = [
  { value: '0', text: 'in neutral' },
  { value: '1', text: 'idle ahead' },
  { value: '1.25', text: 'a quarter ahead' },
  { value: '1.5', text: 'half ahead' },
  { value: '-1', text: 'idle astern' },
  { value: '-1.25', text: 'a quarter astern' },
  { value: '-1.5', text: 'half astern' },
];
const WHEELS: readonly ChoiceOption<string>[] = [
  { value: '0', text: 'amidships' },
  { value: '-1', text: 'hard to port' },
  { value: '-0.5', text: 'half to port' },
  { value: '0.5', text: 'half to starboard' },
  { value: '1', text: 'hard to starboard' },
];

function motoredBy(motor: string, wheel: string): Motored {
  const value = Number(motor);
  const gear = value > 0 ? 1 : value < 0 ? -1 : 0;
  return { gear, throttle: gear === 0 ? 0 : Math.abs(value) - 1, wheel: Number(wheel) };
}

/** Where the boat settles on the lines it begins with, how loaded they are, what if one parts, and in what order they go. */
export function HoldsHer({ state }: { state: RunState }) {
  const units = useUnits();
  const [motor, setMotor] = useState('0');
  const [wheel, setWheel] = useState('0');
  const { found, busy, run: ask, stop } = useJob('hold');
  const { file, run } = state;
  const fast = file.plan.lines.filter(({ fast: on }) => on !== undefined).length;
  const ready = run !== null && fast > 0;
  useEffect(() => {
    if (!ready) return;
    // While the wind is dragged, only where it comes to rest is worked out.
    const timer = setTimeout(() => ask({ file, motored: motoredBy(motor, wheel) }), 250);
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [file, motor, wheel, ready, ask, stop]);
  if (fast === 0) return null;
  return (
    <section aria-label="What holds the boat" className="rule-t py-2.5" aria-busy={busy}>
      <h2 className="pb-1 text-[15px] font-semibold">What holds the boat at the start</h2>
      <p className="flex flex-wrap items-baseline gap-x-2 pb-1">
        <Choice label="Engine" value={motor} options={MOTORS} onChange={setMotor} />
        <span className="text-quiet">wheel</span>
        <Choice label="Wheel" value={wheel} options={WHEELS} onChange={setWheel} />
      </p>
      {found ? <Found held={found} units={units} /> : <p>Working it out …</p>}
    </section>
  );
}

function Found({ held, units }: { held: MooringHold; units: Units }) {
  const order = orderText(held);
  return (
    <>
      <p className="pb-1">{settlesText(held, units)}</p>
      <table className="w-full text-left">
        <thead className="text-[12.5px] text-quiet">
          <tr>
            <th className="font-normal">line</th>
            <th className="font-normal">carries</th>
            <th className="font-normal">of what parts it</th>
          </tr>
        </thead>
        <tbody>
          {held.lines.map(({ line, tension, breaks, parted }) => {
            const share = tension / breaks;
            return (
              <tr key={line} className={share > WORKING_LOAD || parted ? 'text-hurt' : ''}>
                <td>{line}</td>
                <td className="figures">
                  {parted ? '▲ parts' : tension < 20 ? 'slack' : force(tension, units)}
                </td>
                <td className="figures">{parted ? '' : `${Math.round(100 * share)} %`}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {order && <p className="pt-1.5">{order}</p>}
      {held.without.length > 0 && (
        <details className="pt-1">
          <summary className="cursor-pointer py-1 text-[13px] font-semibold hover:text-plan">
            If one parts
          </summary>
          <ul>
            {held.without.map((without) => (
              <li key={without.line}>{withoutText(without, units)}</li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
