'use client';
import { Archive, Download, PencilRuler } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { pivotsOf } from '@/core/trials';
import { boatWarnings, type Boat, type Problem } from '@/document';
import { driveWords, massWords } from '../words/boat';
import { BoatDrawing, PivotWords } from './BoatDrawing';
import { AreaFrame, BUTTON, LINK } from '../parts/AreaFrame';
import { DriftSection } from './DriftSection';
import { Figures } from './Figures';
import { saveDocument } from '../parts/save-document';
import { SheetView } from './SheetView';
import { Problems } from '../parts/Problems';
import { useSheet } from './use-sheet';

export interface OpenedBoat {
  readonly document: Boat;
  readonly revision: number;
  readonly updatedAt: number;
  readonly uses: number;
}

/** One boat: drawing, what trials say of it, every figure with where it comes from. */
export function BoatProfile({ opened }: { opened: OpenedBoat }) {
  const [boat, setBoat] = useState(opened.document);
  const [revision, setRevision] = useState(opened.revision);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [aside, setAside] = useState(false);
  const state = useSheet(boat);
  const pivots = state.sheet ? pivotsOf(state.sheet) : null;
  const warnings = boatWarnings(boat);

  const save = async (next: Boat): Promise<readonly Problem[]> => {
    const body = JSON.stringify({ revision, boat: next });
    const answer = await saveDocument('PUT', `/api/boats/${boat.id}`, body);
    if (!answer.ok) return answer.problems;
    setRevision(answer.value.revision ?? revision + 1);
    setBoat(next);
    state.again();
    return [];
  };
  const putAside = async (away: boolean) => {
    const answer = away
      ? await saveDocument('DELETE', `/api/boats/${boat.id}`, null)
      : await saveDocument('PATCH', `/api/boats/${boat.id}`, JSON.stringify({ aside: false }));
    if (answer.ok) setAside(away);
    else setProblems(answer.problems);
  };

  if (aside)
    return (
      <AreaFrame>
        <p role="status" className="pb-4">
          {boat.name} has been removed. Manoeuvres that use it keep it.
        </p>
        <button type="button" className={BUTTON} onClick={() => void putAside(false)}>
          Bring it back
        </button>
        <p className="pt-4">
          <Link href="/boats" className={LINK}>
            All boats
          </Link>
        </p>
      </AreaFrame>
    );

  return (
    <AreaFrame>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3 border-b-2 border-ink pb-4">
        <div className="min-w-0">
          <h1 className="text-[30px] font-extrabold leading-none tracking-tight">{boat.name}</h1>
          <p className="pt-2">
            {boat.kind}. {massWords(boat.hull.mass_kg)}, {driveWords(boat)}.
          </p>
        </div>
        <div className="ml-auto flex flex-wrap gap-2">
          <Link href={`/boats/${boat.id}/edit`} className={BUTTON}>
            <PencilRuler size={15} /> What you know of the boat
          </Link>
          <a href={`/api/boats/${boat.id}/file`} download className={BUTTON}>
            <Download size={15} /> Export
          </a>
          <button type="button" className={BUTTON} onClick={() => void putAside(true)}>
            <Archive size={15} /> Remove
          </button>
        </div>
      </div>
      <Problems problems={problems} lead="That was not done." />
      <div className="grid gap-x-12 gap-y-4 pt-5 lg:grid-cols-[minmax(0,640px)_minmax(0,1fr)]">
        <div>
          <BoatDrawing boat={boat} pivots={pivots} />
          {pivots && boat.drives.length > 0 && (
            <PivotWords pivots={pivots} length={boat.hull.length_m} />
          )}
        </div>
        <div>
          <p className="max-w-[52ch]">{boat.note}</p>
          {opened.uses > 0 && (
            <p className="pt-2 text-[13px] text-quiet">
              Used in {opened.uses === 1 ? 'one manoeuvre' : `${opened.uses} manoeuvres`}: what you
              change here changes there.
            </p>
          )}
          {warnings.length > 0 && (
            <section aria-label="Unusual figures" className="mt-4 border-l-4 border-hurt-fill pl-3">
              <h2 className="font-semibold text-hurt">Unusual, but taken as given</h2>
              <ul>
                {warnings.map(({ path, message }) => (
                  <li key={path + message} className="text-[13.5px]">
                    <span className="figures">{path}</span>: {message}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {state.sheet && <DriftSection sheet={state.sheet} />}
          <p className="pt-4 text-[12.5px] text-quiet">
            Computed on a model that errs, in calm deep water unless a wind is named. It is not for
            navigation. Try the boat yourself in open water, well clear of everything, before you
            rely on a figure; its own manual and qualified instruction come first.
          </p>
        </div>
      </div>
      <h2 className="pt-8 text-[20px] font-bold">What trials on open water say of the boat</h2>
      <SheetView boat={boat} state={state} />
      <h2 className="pt-10 text-[20px] font-bold">The boat’s figures, and where they come from</h2>
      <Figures boat={boat} onSave={save} />
    </AreaFrame>
  );
}
