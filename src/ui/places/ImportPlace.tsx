'use client';
import { FolderOpen } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Problem } from '@/document';
import type { Unmarked } from '@/io/geojson';
import { acceptOf, mostOf, PLACE_IMPORTERS, readWith } from '@/io/importers';
import { BUTTON } from '../parts/AreaFrame';
import { readText } from '../parts/read-text';
import { saveDocument } from '../parts/save-document';
import { Problems } from '../parts/Problems';
import { Choice } from '../parts/Choice';
import { FileButton } from '../parts/FileButton';
import { PlaceSketch } from './PlaceSketch';
import { holds } from '../words/holds';

const POLYGONS: readonly Unmarked['polygons'][] = ['quay', 'bank', 'pontoon', 'building', 'boat'];

/** Takes in a place from a file of this computer: shown first, and whole or not at all. */
export function ImportPlace() {
  const router = useRouter();
  const [file, setFile] = useState<{ readonly name: string; readonly text: string } | null>(null);
  const [polygons, setPolygons] = useState<Unmarked['polygons']>('quay');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const about = { name: file?.name ?? '', unmarked: { polygons } };
  const read = file ? readWith(PLACE_IMPORTERS, file.text, about) : null;
  const open = async (chosen: File) => {
    setProblems([]);
    setFile(null);
    const text = await readText(chosen, mostOf(PLACE_IMPORTERS));
    if (!text.ok) return setProblems(text.problems);
    setFile({ name: chosen.name.replace(/\.[^.]*$/, ''), text: text.value });
  };
  const run = async () => {
    if (!read?.ok) return;
    const answer = await saveDocument('POST', '/api/places', JSON.stringify(read.value.place));
    if (answer.ok) router.push(`/places/${answer.value.id ?? ''}`);
    else setProblems(answer.problems);
  };
  return (
    <div>
      <FileButton
        label="Place file"
        accept={acceptOf(PLACE_IMPORTERS)}
        className={BUTTON}
        onFile={(chosen) => void open(chosen)}
      >
        <FolderOpen size={16} /> Import a file
      </FileButton>
      <Problems
        problems={read && !read.ok ? read.problems : problems}
        lead="The file was not imported; nothing has changed."
      />
      {read?.ok && (
        <section aria-label="What the file holds" className="max-w-md pt-3">
          <PlaceSketch place={read.value.place} />
          <p className="font-semibold">{read.value.place.name}</p>
          <p>{holds(read.value.place.features.length, read.value.place.berths.length)}</p>
          {read.value.notes.length > 0 && (
            <>
              <ul className="text-[13px] text-quiet">
                {read.value.notes.map((note) => (
                  <li key={note}>{note}</li>
                ))}
              </ul>
              <p>
                <span className="text-[13px] text-quiet">polygons that do not say are </span>
                <Choice
                  label="Polygons that do not say what they are"
                  value={polygons}
                  options={POLYGONS.map((value) => ({ value, text: value }))}
                  onChange={setPolygons}
                />
              </p>
            </>
          )}
          <button type="button" className={BUTTON} onClick={() => void run()}>
            Import it
          </button>
        </section>
      )}
    </div>
  );
}
