'use client';
import { legOf } from '@/core/math';
import type { Feature, Place } from '@/document';
import { useUnits } from '../state/preferences';
import { distance, heading } from '../words/units';

const MOST = 8;
const HOLDS: ReadonlySet<Feature['kind']> = new Set(['bollard', 'pile', 'buoy']);

/** How far it is to everything else a line goes on, nearest first. */
export function BollardDistances({
  from,
  place,
}: {
  from: Extract<Feature, { x_m: number }>;
  place: Place;
}) {
  const units = useUnits();
  if (!HOLDS.has(from.kind)) return null;
  const others = place.features
    .flatMap((f) =>
      'x_m' in f && HOLDS.has(f.kind) && f.id !== from.id
        ? [{ name: f.name, ...legOf([from.x_m, from.y_m], [f.x_m, f.y_m]) }]
        : [],
    )
    .sort((a, b) => a.length - b.length)
    .slice(0, MOST);
  if (others.length === 0) return null;
  return (
    <table className="w-full text-left">
      <caption className="pt-1 text-left text-[13px] text-quiet">from here to</caption>
      <tbody>
        {others.map(({ name, length, bearing }) => (
          <tr key={name} className="rule-t">
            <th scope="row" className="max-w-40 truncate font-normal">
              {name}
            </th>
            <td className="figures text-right">{distance(length, units)}</td>
            <td className="figures pl-3 text-right text-quiet">{heading(bearing)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
