'use client';
import { useId, useState } from 'react';

/**
 * A number typed in: it counts when the field is left or Enter is pressed, and only if it is one within its range;
 * else what was there stays, and what is wanted is said.
 */
export function NumberBox({
  label,
  name,
  value,
  unit,
  least,
  most,
  digits = 2,
  onChange,
}: {
  label: string;
  /** What it is called where its label alone does not say. */
  name?: string;
  value: number;
  unit: string;
  least: number;
  most: number;
  digits?: number;
  onChange: (value: number) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);
  const run = () => {
    if (typed === null) return;
    const number = Number(typed.replace(',', '.'));
    const good =
      typed.trim() !== '' && Number.isFinite(number) && number >= least && number <= most;
    setWrong(!good);
    if (!good) return;
    setTyped(null);
    if (number !== value) onChange(number);
  };
  return (
    <span className="inline-flex flex-col">
      <span className="inline-flex items-baseline gap-1">
        {label && (
          <label htmlFor={id} className="text-[13px] text-quiet">
            {label}
          </label>
        )}
        <input
          id={id}
          aria-label={name}
          inputMode="decimal"
          className="figures w-16 text-[15px]"
          aria-invalid={wrong || undefined}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          value={typed ?? String(Number(value.toFixed(digits)))}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={run}
          onKeyDown={(event) => {
            if (event.key === 'Enter') run();
            if (event.key === 'Escape') {
              setTyped(null);
              setWrong(false);
            }
          }}
        />
        <span className="text-quiet">{unit}</span>
      </span>
      {wrong && (
        <span id={`${id}-wrong`} role="alert" className="text-[12.5px] font-semibold text-hurt">
          from {least} to {most} {unit}
        </span>
      )}
    </span>
  );
}
