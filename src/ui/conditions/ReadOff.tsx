'use client';
import { useMemo, useState } from 'react';
import { assembleCraft } from '@/core/boat';
import {
  aheadResistance,
  pooled,
  currentByDrift,
  currentByLine,
  currentByRunUp,
  WIND_SIGNS,
  windBySigns,
  type Reading,
} from '@/core/signs';
import { SEEN_FROM_DEG, SEEN_SET_DEG } from '@/core/policy';
import { FRESH_WATER_KGPM3, SEA_WATER_KGPM3 } from '@/core/units';
import { MOST_CURRENT_MPS, MOST_WIND_MPS, toBoatSpec } from '@/document';
import { Choice } from '../parts/Choice';
import { NumberBox } from '../parts/NumberBox';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { useUnits } from '../state/preferences';
import { KIND_WORDS, SIGN_WORDS, currentReading, windReading } from '../words/signs';
import { forceFrom, lengthFrom } from '../words/units';

const NOT_SEEN = 'not seen';
const KINDS = ['flag', 'water', 'smoke'] as const;

/** Wind and current reckoned from what a person on the pontoon sees, each with how far it can be out. */
export function ReadOff() {
  return (
    <details className="rule-t py-2">
      <summary className="cursor-pointer py-1 text-[13px] font-semibold hover:text-plan">
        Estimate from what you see
      </summary>
      <WindSeen />
      <CurrentSeen />
    </details>
  );
}

function WindSeen() {
  const store = useWorkspaceStore();
  const units = useUnits();
  const [seen, setSeen] = useState<Readonly<Record<string, string>>>({});
  const found = windBySigns(Object.values(seen));
  return (
    <div className="pt-1">
      {KINDS.map((kind) => (
        <p key={kind} className="flex items-baseline gap-2">
          <span className="w-28 shrink-0 text-quiet">{KIND_WORDS[kind]}</span>
          <Choice
            label={`How ${KIND_WORDS[kind]} looks`}
            value={seen[kind] ?? NOT_SEEN}
            options={[
              { value: NOT_SEEN, text: 'not seen' },
              ...WIND_SIGNS.filter(({ is }) => is === kind).map(({ id }) => ({
                value: id,
                text: SIGN_WORDS[id] ?? id,
              })),
            ]}
            onChange={(id) => {
              const { [kind]: _before, ...rest } = seen;
              setSeen(id === NOT_SEEN ? rest : { ...rest, [kind]: id });
            }}
          />
        </p>
      ))}
      {found && (
        <Found
          words={`wind ${windReading(found, units)} at 10 m`}
          use={() =>
            store.getState().edit((m) => {
              const { wind } = m.conditions;
              wind.speed_mps = Math.min(MOST_WIND_MPS, round(found.value));
              wind.spread = {
                speed_pct: outBy(found),
                from_deg: wind.spread?.from_deg ?? SEEN_FROM_DEG,
              };
            })
          }
        />
      )}
    </div>
  );
}

/** How far out a reading may be, per cent of it. */
const outBy = ({ value, spread }: Reading) =>
  value > 0 ? Math.min(100, Math.max(1, Math.round((100 * spread) / value))) : 100;

const round = (mps: number) => Math.round(mps * 100) / 100;

function CurrentSeen() {
  const store = useWorkspaceStore();
  const boat = useWorkspace((s) => s.boat);
  const water = useWorkspace((s) => s.manoeuvre.conditions.water);
  const units = useUnits();
  const [far, setFar] = useState(0);
  const [seconds, setSeconds] = useState(0);
  const [runUp, setRunUp] = useState(0);
  const [pull, setPull] = useState(0);
  const craft = useMemo(() => assembleCraft(toBoatSpec(boat)), [boat]);
  const density = water === 'sea' ? SEA_WATER_KGPM3 : FRESH_WATER_KGPM3;
  const readings: Reading[] = [];
  if (far > 0 && seconds > 0) readings.push(currentByDrift(lengthFrom(far, units.length), seconds));
  if (runUp > 0) readings.push(currentByRunUp(runUp / 100));
  if (pull > 0)
    readings.push(
      currentByLine(forceFrom(pull, units.force), (speed) =>
        aheadResistance(craft, density, speed),
      ),
    );
  const found = pooled(readings);
  const field = (name: string, unit: string, value: number, set: (value: number) => void) => (
    <NumberBox
      label=""
      name={name}
      value={value}
      unit={unit}
      least={0}
      most={99999}
      onChange={set}
    />
  );
  return (
    <div className="pt-2">
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span className="text-quiet">something afloat goes</span>
        {field('Distance it floats', units.length, far, setFar)}
        <span className="text-quiet">in</span>
        {field('Time it takes', 's', seconds, setSeconds)}
      </p>
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span className="text-quiet">water stands up before a pile by</span>
        {field('Height before a pile', 'cm', runUp, setRunUp)}
      </p>
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span className="text-quiet">{boat.name}, head to it on one line, pulls</span>
        {field('Pull on the boat’s line', units.force, pull, setPull)}
      </p>
      {found && (
        <Found
          words={`current ${currentReading(found, units)}`}
          use={() =>
            store.getState().edit((m) => {
              const { current } = m.conditions;
              current.speed_mps = Math.min(MOST_CURRENT_MPS, round(found.value));
              current.spread = {
                speed_pct: outBy(found),
                set_deg: current.spread?.set_deg ?? SEEN_SET_DEG,
              };
            })
          }
        />
      )}
    </div>
  );
}

function Found({ words, use }: { words: string; use: () => void }) {
  return (
    <p className="flex items-baseline gap-3 pt-1">
      <span className="figures font-semibold" data-testid="read-off">
        {words}
      </span>
      <button type="button" className="text-plan underline" onClick={use}>
        Use it
      </button>
    </p>
  );
}
