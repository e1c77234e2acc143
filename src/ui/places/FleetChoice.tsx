'use client';
import { Choice } from '../parts/Choice';
import type { FleetOutline } from './store';

const NONE = 'none';

/** One of the fleet, or none of it. */
export function FleetChoice({
  words,
  none,
  fleet,
  chosen,
  onChange,
}: {
  words: string;
  none: string;
  fleet: readonly FleetOutline[];
  chosen: FleetOutline | null;
  onChange: (boat: FleetOutline | null) => void;
}) {
  return (
    <p className="pb-1">
      <span className="text-[13px] text-quiet">{words} </span>
      <Choice
        label={words}
        value={chosen?.id ?? NONE}
        options={[
          { value: NONE, text: none },
          ...fleet.map(({ id, name }) => ({ value: id, text: name })),
        ]}
        onChange={(id) => onChange(fleet.find((boat) => boat.id === id) ?? null)}
      />
    </p>
  );
}
