'use client';
import type { Place, PlaceTransit } from '@/document';
import { Choice } from '../parts/Choice';

/** The two marks of a transit. */
export function TransitFields({
  transit,
  place,
  change,
}: {
  transit: PlaceTransit;
  place: Place;
  change: (part: Partial<PlaceTransit>) => void;
}) {
  const options = place.features.flatMap((f) =>
    'x_m' in f ? [{ value: f.name, text: f.name }] : [],
  );
  return (
    <div className="flex flex-col gap-1">
      {(['front', 'back'] as const).map((end) => (
        <span key={end}>
          <span className="text-[13px] text-quiet">{end === 'front' ? 'nearer ' : 'behind '}</span>
          <Choice
            label={end === 'front' ? 'The nearer mark' : 'The mark behind'}
            value={transit[end]}
            options={options}
            onChange={(name) => change({ [end]: name })}
          />
        </span>
      ))}
    </div>
  );
}
