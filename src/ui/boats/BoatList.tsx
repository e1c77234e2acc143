'use client';
import { Plus } from 'lucide-react';
import Link from 'next/link';
import type { Boat, Problem } from '@/document';
import { usePreferences } from '../state/preferences';
import { lengthIn } from '../words/units';
import { driveWords, massWords } from '../words/boat';
import { AreaFrame, BUTTON } from '../parts/AreaFrame';
import { planPath, waterlinePaths } from './outline';
import { ImportBoat } from './ImportBoat';

export interface BoatEntry {
  readonly id: string;
  readonly document: Boat | null;
  readonly problems: readonly Problem[];
}

/** Every boat kept, by name, each with its plan. */
export function BoatList({ boats }: { boats: readonly BoatEntry[] }) {
  return (
    <AreaFrame>
      <div className="flex flex-wrap items-end gap-4 border-b-2 border-ink pb-4">
        <div>
          <h1 className="text-[32px] font-extrabold leading-none tracking-tight">Boats</h1>
          <p className="pt-2">
            What each is, how it handles, and how far the figures can be trusted.
          </p>
        </div>
        <div className="ml-auto flex flex-wrap gap-3">
          <ImportBoat />
          <Link href="/boats/new" className={BUTTON}>
            <Plus size={16} /> A new boat
          </Link>
        </div>
      </div>
      {boats.length === 0 && (
        <p className="py-8">
          Boats stand here once there are some. Begin with what you know of yours.
        </p>
      )}
      <ul aria-label="Boats by name" className="grid gap-x-12 md:grid-cols-2">
        {boats.map((entry) => (
          <li key={entry.id} className="rule-b">
            {entry.document ? <Entry boat={entry.document} /> : <Unsound entry={entry} />}
          </li>
        ))}
      </ul>
    </AreaFrame>
  );
}

function Entry({ boat }: { boat: Boat }) {
  const unit = usePreferences((p) => p.length);
  const { hull } = boat;
  const view = `${-0.53 * hull.length_m} ${-0.62 * hull.beam_m} ${1.06 * hull.length_m} ${1.24 * hull.beam_m}`;
  const figure = (m: number) => lengthIn(m, unit).toFixed(1);
  return (
    <Link
      href={`/boats/${boat.id}`}
      className="group grid grid-cols-[132px_minmax(0,1fr)] items-center gap-5 py-3.5 focus-visible:-outline-offset-2"
    >
      <svg viewBox={view} className="h-14 w-full" aria-hidden>
        <path
          d={planPath(hull.deck)}
          className="fill-water stroke-ink group-hover:stroke-plan"
          strokeWidth={1.4}
          vectorEffect="non-scaling-stroke"
        />
        {waterlinePaths(boat).map((d) => (
          <path
            key={d}
            d={d}
            fill="none"
            className="stroke-quiet"
            strokeWidth={0.8}
            strokeDasharray="2 2"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      <span className="min-w-0">
        <span className="block text-[18px] font-bold leading-tight group-hover:text-plan">
          {boat.name}
        </span>
        <span className="block text-[14px]">{boat.kind}</span>
        <span className="figures block text-[13px] text-quiet">
          {figure(hull.length_m)} × {figure(hull.beam_m)} × {figure(hull.draught_m)} {unit},{' '}
          {massWords(hull.mass_kg)}; {driveWords(boat)}
        </span>
      </span>
    </Link>
  );
}

function Unsound({ entry }: { entry: BoatEntry }) {
  return (
    <div className="py-3.5">
      <p className="font-bold">{entry.id}</p>
      <p className="text-[13px] text-hurt">
        Kept, but it cannot be read:{' '}
        {entry.problems.map((p) => `${p.path} ${p.message}`).join('; ')}
      </p>
    </div>
  );
}
