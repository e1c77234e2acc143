'use client';
import { legOf } from '@/core/math';
import { AT_BERTH_M } from '@/core/policy';
import type { Berth, Feature, Place } from '@/document';
import { Choice } from '../parts/Choice';
import { LengthBox } from '../parts/LengthBox';
import { useUnits } from '../state/preferences';
import { distance } from '../words/units';
import { replaced } from './edit';
import { onSegment } from './snap';
import { surfaceOptions } from './surfaces';

const LIES: readonly { readonly value: Berth['kind']; readonly text: string }[] = [
  { value: 'alongside', text: 'alongside, open at both ends' },
  { value: 'slip', text: 'a slip, entered from its first end' },
  { value: 'stern-to', text: 'stern to it' },
  { value: 'bow-to', text: 'bow to it' },
];

/** How the boat lies, what its fenders bear on, and what is there to make fast to. */
export function BerthFields({
  berth,
  place,
  change,
  edit,
}: {
  berth: Berth;
  place: Place;
  change: (part: Partial<Berth>) => void;
  edit: (place: Place) => void;
}) {
  const units = useUnits();
  const face = place.features.find((f) => f.id === berth.on[0]);
  const ends = place.features.flatMap((f) => {
    if (f.kind !== 'bollard' && f.kind !== 'pile') return [];
    const on = onSegment(...berth.edge_m, [f.x_m, f.y_m]);
    const near = legOf(on, [f.x_m, f.y_m]).length <= AT_BERTH_M;
    return near ? [{ name: f.name, along: legOf(berth.edge_m[0], on).length }] : [];
  });
  return (
    <div className="flex flex-col gap-1">
      <span>
        <span className="text-[13px] text-quiet">the boat lies </span>
        <Choice
          label="How the boat lies"
          value={berth.kind}
          options={LIES}
          onChange={(kind) => change({ kind })}
        />
      </span>
      <LengthBox
        label="its top over the water"
        value={berth.height_m}
        least={0}
        most={12}
        onChange={(height_m) => change({ height_m })}
      />
      {face && 'outline_m' in face && (
        <span>
          <span className="text-[13px] text-quiet">the boat’s fenders bear on </span>
          <Choice
            label="What the boat’s fenders bear on"
            value={face.surface ?? 'usual'}
            options={surfaceOptions(face.kind)}
            onChange={(surface) =>
              edit(
                replaced(place, {
                  ...face,
                  surface: surface === 'usual' ? undefined : surface,
                } as Feature),
              )
            }
          />
        </span>
      )}
      <p className="text-[13px]">
        {ends.length === 0 ? (
          <span className="text-quiet">Nothing to make fast to stands by it yet.</span>
        ) : (
          <>
            <span className="text-quiet">to make fast to, from its first end: </span>
            {ends
              .sort((a, b) => a.along - b.along)
              .map(({ name, along }) => `${name} ${distance(along, units)}`)
              .join(', ')}
          </>
        )}
      </p>
      <p>
        <button
          type="button"
          className="text-plan underline"
          onClick={() => change({ edge_m: [berth.edge_m[1], berth.edge_m[0]] })}
        >
          Turn its ends round
        </button>
      </p>
    </div>
  );
}
