'use client';
import { useState } from 'react';
import { ROSE_DIRECTIONS } from '@/core/reliability';
import { radians, type ManoeuvreFile, type VariationDocument } from '@/document';
import { WindRose } from '../charts/WindRose';
import { useRose } from '../hooks/use-look';
import { useUnits } from '../state/preferences';

/** The mean winds from 16 directions in which the plan holds in 90 of 100, worked out when asked. @param small beside others like it */
export function RoseSection({
  file,
  variation,
  small = false,
}: {
  file: ManoeuvreFile;
  variation: VariationDocument;
  small?: boolean;
}) {
  const units = useUnits();
  // Of a plan that was changed since, nothing is shown: it is asked for anew.
  const [asked, setAsked] = useState<ManoeuvreFile | null>(null);
  const wanted = asked === file;
  const ranges = useRose(wanted ? file : null, variation);
  const { wind } = file.conditions;
  if (!wanted)
    return (
      <button
        type="button"
        className={
          small
            ? 'py-1 text-plan underline underline-offset-3'
            : 'min-h-9 border border-ink px-3 font-semibold hover:border-plan hover:text-plan'
        }
        onClick={() => setAsked(file)}
      >
        Winds it holds in …
      </button>
    );
  const Title = small ? 'h3' : 'h2';
  const through = ranges.length === ROSE_DIRECTIONS;
  return (
    <section aria-label="Winds it holds in" data-testid="wind-rose">
      <Title
        className={`flex items-baseline justify-between pb-1 font-semibold ${small ? '' : 'text-[15px]'}`}
      >
        Winds it holds in
        <button
          type="button"
          className="text-[13px] font-normal text-plan underline"
          onClick={() => setAsked(null)}
        >
          {through ? 'put it away' : 'stop'}
        </button>
      </Title>
      <p className="text-[13px] text-quiet" role="status">
        {through
          ? 'How much mean wind it still holds in, 90 of 100 tries, by where it blows from; gusts come on top. A cross: from there in no wind at all. The dot: the wind set now.'
          : `${ranges.length} of ${ROSE_DIRECTIONS} directions tried${small ? '; it takes some minutes' : ''} …`}
      </p>
      <div className={small ? 'max-w-[220px]' : ''}>
        <WindRose
          ranges={ranges}
          told={{
            from: radians(wind.from_deg + variation.windVeer_deg),
            speed: wind.speed_mps * variation.windTimes,
          }}
          units={units}
        />
      </div>
    </section>
  );
}
