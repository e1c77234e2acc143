'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { PLACE_SCHEMA, PLACE_VERSION, type Place, type Problem } from '@/document';
import { AreaFrame, BUTTON, LINK } from '../parts/AreaFrame';
import { saveDocument } from '../parts/save-document';
import { Problems } from '../parts/Problems';
import { Picture } from '../pictures/Picture';
import { ImportPlace } from './ImportPlace';
import { holds } from '../words/holds';

export interface PlaceEntry {
  readonly id: string;
  readonly document: Place | null;
  readonly problems: readonly Problem[];
}

/** Every place kept, by name, each with its plan. */
export function PlaceList({
  places,
  aside,
}: {
  places: readonly PlaceEntry[];
  /** One that was just put aside. */
  aside: string | null;
}) {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const begin = async () => {
    const place = {
      $schema: PLACE_SCHEMA,
      version: PLACE_VERSION,
      id: 'new-place',
      name: 'A new place',
      features: [],
    };
    const answer = await saveDocument('POST', '/api/places', JSON.stringify(place));
    if (answer.ok) router.push(`/places/${answer.value.id ?? ''}`);
    else setProblems(answer.problems);
  };
  const bringBack = async () => {
    const answer = await saveDocument(
      'PATCH',
      `/api/places/${aside}`,
      JSON.stringify({ aside: false }),
    );
    if (answer.ok) router.replace('/places');
    else setProblems(answer.problems);
  };
  return (
    <AreaFrame area="places">
      <div className="flex flex-wrap items-end gap-4 border-b-2 border-ink pb-4">
        <div>
          <h1 className="text-[32px] font-extrabold leading-none tracking-tight">Places</h1>
          <p className="pt-2">
            Stretches of water with their edges, berths and neighbours: draw yours, or import it
            from a file.
          </p>
        </div>
        <div className="ml-auto flex flex-wrap items-start gap-3">
          <ImportPlace />
          <button type="button" className={BUTTON} onClick={() => void begin()}>
            Draw a new place
          </button>
        </div>
      </div>
      <Problems problems={problems} lead="That did not work; nothing has changed." />
      {aside && (
        <p role="status" className="py-2">
          Removed.{' '}
          <button type="button" className={LINK} onClick={() => void bringBack()}>
            Bring it back
          </button>
        </p>
      )}
      {places.length === 0 && (
        <p className="py-8">
          Places stand here once there are some. Begin with the quay or pontoon you know best.
        </p>
      )}
      <ul aria-label="Places by name" className="grid gap-x-12 md:grid-cols-2">
        {places.map(({ id, document, problems: wrong }) => (
          <li key={id} className="rule-b">
            {document ? (
              <Link
                href={`/places/${id}`}
                className="group grid grid-cols-[180px_minmax(0,1fr)] items-center gap-5 py-3 focus-visible:-outline-offset-2"
              >
                <Picture of={`/api/places/${id}/picture`} className="w-full" />
                <span className="min-w-0">
                  <span className="block text-[18px] font-bold leading-tight group-hover:text-plan">
                    {document.name}
                  </span>
                  <span className="figures block text-[13px] text-quiet">
                    {holds(document.features.length, document.berths.length)}
                  </span>
                </span>
              </Link>
            ) : (
              <div className="py-3.5">
                <p className="font-bold">{id}</p>
                <p className="text-[13px] text-hurt">
                  Kept, but it cannot be read:{' '}
                  {wrong.map((p) => `${p.path} ${p.message}`).join('; ')}
                </p>
              </div>
            )}
          </li>
        ))}
      </ul>
    </AreaFrame>
  );
}
