'use client';
import { toCentimetres } from '@/document';
import { useLengths } from './lengths';
import { NumberBox } from './NumberBox';

/** A length typed in the user's own unit, kept in metres to the centimetre. */
export function LengthBox({
  label,
  value,
  least,
  most,
  onChange,
}: {
  label: string;
  /** m, as are the ends of its range. */
  value: number;
  least: number;
  most: number;
  onChange: (metres: number) => void;
}) {
  const { unit, shown, metres } = useLengths();
  const round = (m: number) => Number(shown(m).toFixed(2));
  return (
    <NumberBox
      label={label}
      value={shown(value)}
      unit={unit}
      least={round(least)}
      most={round(most)}
      onChange={(typed) => onChange(toCentimetres(metres(typed)))}
    />
  );
}
