'use client';
import { useId, useState, type ReactNode } from 'react';

/** One thing that is asked for. */
export function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="rule-t py-2">
      <p className="pb-0.5 text-[12.5px] text-quiet">{name}</p>
      {children}
    </div>
  );
}

/** One of a few, all of them seen. */
export function Radios({
  name,
  value,
  options,
  onChange,
}: {
  name: string;
  value: string;
  options: readonly { value: string; text: string }[];
  onChange: (value: string) => void;
}) {
  return (
    <span className="flex flex-wrap gap-x-5">
      {options.map((option) => (
        <label key={option.value} className="flex min-h-7 items-center gap-2">
          <input
            type="radio"
            name={name}
            className="size-4 accent-plan"
            checked={option.value === value}
            onChange={() => onChange(option.value)}
          />
          {option.text}
        </label>
      ))}
    </span>
  );
}

/** A number with its unit, taken when it is left. */
export function Figure({
  label,
  unit,
  value,
  onChange,
}: {
  label: string;
  unit: string;
  value: number;
  onChange: (value: number) => void;
}) {
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  return (
    <span className="inline-flex items-baseline gap-1">
      <input
        id={id}
        aria-label={label}
        type="number"
        step="any"
        className="figures text-[15px]"
        style={{ width: 52 }}
        value={text ?? value}
        onChange={(event) => {
          setText(event.target.value);
          const number = event.target.valueAsNumber;
          if (Number.isFinite(number)) onChange(number);
        }}
        onBlur={() => setText(null)}
      />
      <span className="text-quiet">{unit}</span>
    </span>
  );
}
