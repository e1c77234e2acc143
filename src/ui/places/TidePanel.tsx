'use client';
import { useState } from 'react';
import { CONSTITUENT_NAMES } from '@/core/water';
import type { Place, TideDocument } from '@/document';
import { Choice } from '../parts/Choice';
import { LengthBox } from '../parts/LengthBox';
import { NumberBox } from '../parts/NumberBox';
import { usePlace } from './store';
import { readHours, readWaters, writeHours, writeWaters } from './tide-text';

/** To be filled in: until then the water stands. */
const FIRST: TideDocument = {
  zone: 'WET',
  level: {
    by: 'constituents',
    mean_m: 0,
    constituents: [{ name: 'M2', amplitude_m: 0, phase_deg: 0 }],
  },
};

type Constituents = Extract<TideDocument['level'], { by: 'constituents' }>;

/** How level and current go at the place: by constituents or by a table of high and low waters, and the zone of its clocks. */
export function TidePanel({ edit }: { edit: (place: Place) => boolean }) {
  const place = usePlace((s) => s.place);
  const { tide } = place;
  const change = (part: Partial<TideDocument>) => edit({ ...place, tide: { ...tide!, ...part } });
  const drop = () => {
    const { tide: _tide, ...rest } = place;
    edit(rest);
  };
  return (
    <details className="rule-t py-2">
      <summary className="cursor-pointer font-semibold">
        Tide {tide ? '' : <span className="font-normal text-quiet">none: its water stands</span>}
      </summary>
      {!tide ? (
        <p className="pt-1">
          <button
            type="button"
            className="text-plan underline"
            onClick={() => edit({ ...place, tide: FIRST })}
          >
            Give it a tide
          </button>
        </p>
      ) : (
        <div className="flex flex-col gap-2 pt-1">
          <Zone key={tide.zone} zone={tide.zone} change={(zone) => change({ zone })} />
          <span>
            <span className="text-[13px] text-quiet">the level goes by </span>
            <Choice
              label="The level goes by"
              value={tide.level.by}
              options={[
                { value: 'constituents', text: 'constituents' },
                { value: 'table', text: 'a table of high and low waters' },
              ]}
              onChange={(by) =>
                change({ level: by === 'constituents' ? FIRST.level : FIRST_TABLE() })
              }
            />
          </span>
          {tide.level.by === 'constituents' ? (
            <ConstituentRows level={tide.level} change={(level) => change({ level })} />
          ) : (
            <Lines
              key={`waters ${tide.zone}`}
              label="High and low waters, one a line: day, time at the place, level in m"
              text={writeWaters(tide.level.waters, tide.zone)}
              accept={(text) => {
                const read = readWaters(text, tide.zone);
                if (!read.ok) return read.problems[0]!.message;
                return change({ level: { by: 'table', waters: read.value } })
                  ? null
                  : 'not taken: see above';
              }}
            />
          )}
          <Lines
            key="hours"
            label="Current, one a line: hours from high water, sets to in °, rate in m/s; empty for none"
            text={writeHours(tide.current)}
            accept={(text) => {
              const read = readHours(text);
              if (!read.ok) return read.problems[0]!.message;
              const { current: _stream, ...rest } = tide;
              const range_m = tide.current?.range_m ?? 3;
              const next =
                read.value.length === 0
                  ? rest
                  : { ...rest, current: { range_m, hours: read.value } };
              return edit({ ...place, tide: next }) ? null : 'not taken: see above';
            }}
          />
          {tide.current && (
            <LengthBox
              label="these rates at a range of"
              value={tide.current.range_m}
              least={0.1}
              most={20}
              onChange={(range_m) => change({ current: { ...tide.current!, range_m } })}
            />
          )}
          <p>
            <button type="button" className="text-plan underline" onClick={drop}>
              Remove the tide
            </button>
          </p>
        </div>
      )}
    </details>
  );
}

/** Half a day from now, so that there is something to write over. */
function FIRST_TABLE(): TideDocument['level'] {
  const hour = Math.floor(Date.now() / 3_600_000) * 3_600_000;
  const at = (hours: number) =>
    new Date(hour + hours * 3_600_000).toISOString().replace('.000Z', 'Z');
  return {
    by: 'table',
    waters: [
      { at: at(0), level_m: 3.2 },
      { at: at(6), level_m: 0.8 },
      { at: at(12), level_m: 3.3 },
    ],
  };
}

function Zone({ zone, change }: { zone: string; change: (zone: string) => boolean }) {
  const [typed, setTyped] = useState(zone);
  return (
    <label>
      <span className="text-[13px] text-quiet">its clocks show the zone </span>
      <input
        className="w-36"
        value={typed}
        maxLength={60}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => typed !== zone && !change(typed.trim()) && setTyped(zone)}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    </label>
  );
}

function ConstituentRows({
  level,
  change,
}: {
  level: Constituents;
  change: (level: Constituents) => void;
}) {
  const of = (name: string) => level.constituents.find((one) => one.name === name);
  const set = (
    name: (typeof CONSTITUENT_NAMES)[number],
    part: { amplitude_m?: number; phase_deg?: number },
  ) => {
    const before = of(name) ?? { name, amplitude_m: 0, phase_deg: 0 };
    const next = { ...before, ...part };
    const rest = level.constituents.filter((one) => one.name !== name);
    const all = next.amplitude_m > 0 || rest.length === 0 ? [...rest, next] : rest;
    change({ ...level, constituents: all });
  };
  return (
    <>
      <LengthBox
        label="mean level"
        value={level.mean_m}
        least={-20}
        most={20}
        onChange={(mean_m) => change({ ...level, mean_m })}
      />
      <table className="text-left">
        <caption className="text-left text-[13px] text-quiet">
          amplitude, m, and phase lag behind Greenwich, °
        </caption>
        <tbody>
          {CONSTITUENT_NAMES.map((name) => (
            <tr key={name}>
              <th scope="row" className="figures pr-2 font-normal">
                {name}
              </th>
              <td>
                <NumberBox
                  label=""
                  name={`${name}, amplitude`}
                  value={of(name)?.amplitude_m ?? 0}
                  unit="m"
                  least={0}
                  most={10}
                  digits={3}
                  onChange={(amplitude_m) => set(name, { amplitude_m })}
                />
              </td>
              <td>
                <NumberBox
                  label=""
                  name={`${name}, phase`}
                  value={of(name)?.phase_deg ?? 0}
                  unit="°"
                  least={0}
                  most={360}
                  digits={1}
                  onChange={(phase_deg) => set(name, { phase_deg })}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** Lines of figures as they stand in a table: taken when the field is left, or refused with what is wrong. */
function Lines({
  label,
  text,
  accept,
}: {
  label: string;
  text: string;
  /** What is wrong; null where it was taken. */
  accept: (text: string) => string | null;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  return (
    <label className="block">
      <span className="text-[13px] text-quiet">{label}</span>
      <textarea
        className="figures block w-full"
        rows={5}
        value={typed ?? text}
        aria-invalid={wrong ? true : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          if (typed === null || typed === text) return;
          const problem = accept(typed);
          setWrong(problem);
          if (!problem) setTyped(null);
        }}
      />
      {wrong && (
        <span role="alert" className="text-[12.5px] font-semibold text-hurt">
          {wrong}
        </span>
      )}
    </label>
  );
}
