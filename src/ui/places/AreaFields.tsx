'use client';
import type { Area, Place, PlaceTransit } from '@/document';
import { Choice } from '../parts/Choice';
import { LockFields } from '../locks/LockFields';
import { useUnits } from '../state/preferences';
import type { FleetOutline } from './store';
import { speedFrom, speedIn, tidy } from '../words/units';
import { LengthBox } from '../parts/LengthBox';
import { NumberBox } from '../parts/NumberBox';
import { Tick } from '../parts/Tick';

/** Depth, clearance, rule or height of what has an outline and cannot be touched. */
export function AreaFields({
  area,
  fleet,
  change,
}: {
  area: Area;
  fleet: readonly FleetOutline[];
  change: (part: Partial<Area>) => void;
}) {
  const { speed } = useUnits();
  switch (area.kind) {
    case 'depth':
      return (
        <>
          <LengthBox
            label="depth at level 0"
            value={area.depth_m}
            least={-15}
            most={500}
            onChange={(depth_m) => change({ depth_m })}
          />
          <p className="text-[13px] text-quiet">
            Negative where it dries: the bottom then stands that far over level 0. Spot depths put
            inside count instead of this figure.
          </p>
        </>
      );
    case 'bridge':
      return (
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          <LengthBox
            label="room under it"
            value={area.clearance_m}
            least={0.5}
            most={100}
            onChange={(clearance_m) => change({ clearance_m })}
          />
          <LengthBox
            label="at level"
            value={area.level_m}
            least={-20}
            most={20}
            onChange={(level_m) => change({ level_m })}
          />
          <Tick checked={area.footway} onChange={(footway) => change({ footway })}>
            people walk over it
          </Tick>
          <p className="w-full text-[13px] text-quiet">
            As its board or the plan tells it. Its piers are quays or piles of their own. Crew round
            a lock cross by shut gates and by bridges that reach from one side to the other.
          </p>
        </div>
      );
    case 'zone':
      return (
        <>
          <Choice
            label="Its rule"
            value={area.rule}
            options={[
              { value: 'keep out', text: 'keep out' },
              { value: 'no wash', text: 'no wash' },
            ]}
            onChange={(rule) => change({ rule })}
          />
          {area.rule === 'no wash' && (
            <NumberBox
              label="no faster than"
              value={tidy(speedIn(area.most_mps, speed))}
              unit={speed}
              least={tidy(speedIn(0.2, speed))}
              most={tidy(speedIn(5, speed))}
              digits={1}
              onChange={(most) => change({ most_mps: tidy(speedFrom(most, speed), 3) })}
            />
          )}
        </>
      );
    case 'lock':
      return (
        <>
          {!area.working && (
            <LengthBox
              label="depth on its cill at level 0"
              value={area.cill_m ?? 0}
              least={-15}
              most={500}
              onChange={(cill_m) => change({ cill_m })}
            />
          )}
          <p className="text-[13px] text-quiet">
            Its chamber: draw its walls as quays and its leaves as gates.
          </p>
          <LockFields
            name={area.name}
            outline={area.outline_m}
            working={area.working}
            fleet={fleet}
            change={(working) => change({ working })}
          />
        </>
      );
    case 'trees':
      return (
        <LengthBox
          label="height over the water"
          value={area.height_m}
          least={1}
          most={60}
          onChange={(height_m) => change({ height_m })}
        />
      );
  }
}

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
