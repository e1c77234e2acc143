'use client';
import Link from 'next/link';
import { useState } from 'react';
import { locksOfPlace, type Place } from '@/document';
import { NumberBox } from '../parts/NumberBox';
import { usePlace } from './store';

const LINK = 'text-plan underline';

/** What the place is called, where on the earth it is, and how it leaves as a file. */
export function PlaceFields({ edit, saved }: { edit: (place: Place) => void; saved: boolean }) {
  const place = usePlace((s) => s.place);
  const [name, setName] = useState<string | null>(null);
  const { origin } = place;
  const run = () => {
    const next = name?.trim();
    setName(null);
    if (next && next !== place.name) edit({ ...place, name: next });
  };
  const at = origin ?? { lat_deg: 0, lon_deg: 0 };
  return (
    <section aria-label="The place" className="rule-t flex flex-col gap-1 py-2">
      <label>
        <span className="text-[13px] text-quiet">the place is called</span>
        <input
          className="w-full"
          value={name ?? place.name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          onBlur={run}
          onKeyDown={(event) => event.key === 'Enter' && run()}
        />
      </label>
      <div className="flex flex-wrap gap-x-4">
        <NumberBox
          label="latitude"
          value={at.lat_deg}
          unit="°"
          least={-85}
          most={85}
          digits={6}
          onChange={(lat_deg) => edit({ ...place, origin: { ...at, lat_deg } })}
        />
        <NumberBox
          label="longitude"
          value={at.lon_deg}
          unit="°"
          least={-180}
          most={180}
          digits={6}
          onChange={(lon_deg) => edit({ ...place, origin: { ...at, lon_deg } })}
        />
      </div>
      <p className="text-[13px] text-quiet">
        {origin
          ? 'North and east are counted from there.'
          : 'Not on the earth yet: for GeoJSON and tracks it wants a position.'}
      </p>
      {place.berths.length > 0 || locksOfPlace(place).length > 0 ? (
        <p>
          <Link className={LINK} href={`/new?place=${place.id}`}>
            Begin a manoeuvre here
          </Link>
        </p>
      ) : (
        <p className="text-[13px] text-quiet">
          A manoeuvre is begun at a berth, or at a lock with gates and paddles: draw one.
        </p>
      )}
      <p className="flex flex-wrap gap-x-4 text-[13px]">
        <span className="text-quiet">Keep it as a file:</span>
        {saved ? (
          <>
            <a className={LINK} href={`/api/places/${place.id}/file?as=json`} download>
              place
            </a>
            {origin && (
              <a className={LINK} href={`/api/places/${place.id}/file?as=geojson`} download>
                GeoJSON
              </a>
            )}
          </>
        ) : (
          <span className="text-quiet">when it is saved</span>
        )}
      </p>
    </section>
  );
}
