'use client';
import { useState } from 'react';
import { locksOfPlace, underLock, usualLock, type LockWorking } from '@/document';
import { LengthBox } from '../parts/LengthBox';
import { usePlace } from '../places/store';
import { Choice } from '../parts/Choice';
import { GateFields } from './GateFields';
import { LockBench, type LockBoat } from './LockBench';
import { PaddleFields } from './PaddleFields';

type LevelKey = 'upper_m' | 'lower_m' | 'upperCill_m' | 'lowerCill_m' | 'floor_m' | 'coping_m';
const LEVELS: readonly (readonly [LevelKey, string])[] = [
  ['upper_m', 'level above'],
  ['lower_m', 'level below'],
  ['coping_m', 'coping'],
  ['upperCill_m', 'upper cill'],
  ['lowerCill_m', 'lower cill'],
  ['floor_m', 'floor'],
];

/** How a lock is worked: its levels, sizes and paddles; and the bench it is worked on. */
export function LockFields({
  name,
  outline,
  working,
  fleet,
  change,
}: {
  name: string;
  outline: readonly (readonly [number, number])[];
  working: LockWorking | undefined;
  fleet: readonly LockBoat[];
  change: (working: LockWorking) => void;
}) {
  const [open, setOpen] = useState(false);
  if (!working)
    return (
      <button
        type="button"
        className="text-plan underline"
        onClick={() => change(usualLock(outline))}
      >
        Give it gates, paddles and levels
      </button>
    );
  const set = (part: Partial<LockWorking>) => change({ ...working, ...part });
  return (
    <div className="flex flex-col gap-1 pt-1">
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        <LengthBox
          label="chamber"
          value={working.length_m}
          least={5}
          most={400}
          onChange={(length_m) => set({ length_m })}
        />
        <LengthBox
          label="by"
          value={working.width_m}
          least={1.5}
          most={60}
          onChange={(width_m) => set({ width_m })}
        />
        {LEVELS.map(([key, label]) => (
          <LengthBox
            key={key}
            label={label}
            value={working[key]}
            least={-30}
            most={60}
            onChange={(m) => set({ [key]: m })}
          />
        ))}
        <LengthBox
          label="cill reaches in"
          value={working.cillReach_m}
          least={0}
          most={20}
          onChange={(cillReach_m) => set({ cillReach_m })}
        />
        <LengthBox
          label="coping stands out by"
          value={working.copingOut_m}
          least={0}
          most={1}
          onChange={(copingOut_m) => set({ copingOut_m })}
        />
        {working.copingOut_m > 0 && (
          <LengthBox
            label="and is thick"
            value={working.copingThick_m}
            least={0.02}
            most={3}
            onChange={(copingThick_m) => set({ copingThick_m })}
          />
        )}
      </div>
      <StaircaseField name={name} outline={outline} working={working} change={change} />
      <GateFields working={working} set={set} />
      <PaddleFields working={working} set={set} />
      {working.above === undefined ? (
        <button
          type="button"
          className="mt-1 min-h-9 border border-ink px-3 font-semibold hover:border-plan hover:text-plan"
          onClick={() => setOpen(true)}
        >
          Work this lock
        </button>
      ) : (
        <p className="text-[13px] text-quiet">
          It is filled from {working.above}: work the two of them in a manoeuvre.
        </p>
      )}
      {open && (
        <LockBench name={name} working={working} fleet={fleet} onClose={() => setOpen(false)} />
      )}
    </div>
  );
}

/** No lock bears this name: names are not empty. */
const OWN = ' ';

/** In a staircase: the lock whose lower gates are this one's upper gates. */
function StaircaseField({
  name,
  outline,
  working,
  change,
}: {
  name: string;
  outline: readonly (readonly [number, number])[];
  working: LockWorking;
  change: (working: LockWorking) => void;
}) {
  const place = usePlace((s) => s.place);
  const others = locksOfPlace(place).filter((one) => one.name !== name);
  if (others.length === 0 && working.above === undefined) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-2">
      <span className="text-[13px] text-quiet">its upper gates are</span>
      <Choice
        label={`upper gates of ${name}`}
        value={working.above ?? OWN}
        options={[
          { value: OWN, text: 'its own' },
          ...others.map((one) => ({ value: one.name, text: `the lower gates of ${one.name}` })),
        ]}
        onChange={(chosen) => {
          const above = others.find((one) => one.name === chosen);
          change(underLock(working, above ?? null, outline));
        }}
      />
    </p>
  );
}
