'use client';
import { compareRuns } from '@/core/monitors';
import type { Run } from '@/core/plan';
import { useUnits } from '../state/preferences';
import { differenceLines } from '../words/difference';

/** How a run differs from the one it is held against. */
export function DifferenceList({ held, now }: { held: Run; now: Run }) {
  const units = useUnits();
  return (
    <ul>
      {differenceLines(held, now, compareRuns(held, now), units).map(({ name, text, worse }) => (
        <li key={name} className="rule-t flex justify-between gap-3 py-1">
          <span className={worse ? 'font-semibold text-hurt' : ''}>
            {worse ? '▲ ' : ''}
            {name}
          </span>
          <span className="figures text-right">{text}</span>
        </li>
      ))}
    </ul>
  );
}
