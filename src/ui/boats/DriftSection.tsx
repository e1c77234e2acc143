'use client';
import type { Sheet } from '@/core/trials';
import { DriftPolar } from '../charts/DriftPolar';
import { useUnits } from '../state/preferences';

/** How the boat drifts from every side, with what the curves mean. */
export function DriftSection({ sheet }: { sheet: Sheet }) {
  const units = useUnits();
  return (
    <section aria-label="Drift in wind" className="pt-5">
      <h2 className="border-b border-ink pb-1 text-[15px] font-bold">
        Drift in wind from every side, {units.speed}
      </h2>
      <DriftPolar drifts={sheet.drifts} units={units} />
      <p className="max-w-[58ch] text-[12.5px] text-quiet">
        Bow up; thin to thick for 5, 10, 15, 20 and 25 kn of wind. Along a curve the angle is where
        the wind blows from as the boat is let go, the distance out its drift down-wind twenty
        seconds later. A ring: where off the bow the wind stands once it lies still, let go beam on.
        How the boat lies hangs on small things: find it by trial.
      </p>
    </section>
  );
}
