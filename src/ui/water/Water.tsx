'use client';
import { useMemo, useState } from 'react';
import { Group, Layer } from 'react-konva';
import type { Leg } from '@/core/brief';
import type { Take } from '@/core/score';
import type { WayOutAt } from '@/core/search';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { toBoatSpec, withFenders, type Boat } from '@/document';
import { useWorkspace } from '../state/context';
import type { Reference } from '../state/workspace';
import { usePreferences, useUnits } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { AtPlayhead } from './AtPlayhead';
import { BeatNumbers } from './BeatNumbers';
import { ConditionGrips } from './ConditionGrips';
import { takeExtent } from './extent';
import { hurtBoxes, HurtMarks } from './HurtMarks';
import { LastWayOut } from './LastWayOut';
import { LeeSides } from './LeeSides';
import { OtherGrips } from './OtherGrips';
import { PickLayer } from './PickLayer';
import { ReferenceTrack } from './ReferenceTrack';
import { RigLayer } from './RigLayer';
import { StartGrip } from './StartGrip';
import { TakeLayer } from './TakeLayer';
import { WaterFrame } from './WaterFrame';

/** The plan of the place with the boat and what the take leaves on it. */
export function Water({
  take,
  boat,
  legs,
  lastWayOut,
  reference,
  stale,
}: {
  take: Take | null;
  /** The boat the take is of. */
  boat: Boat;
  /** Legs whose dangerous and safe sides are to be drawn. */
  legs: readonly Leg[];
  lastWayOut: WayOutAt | null;
  /** Another take drawn under it, to be held against. */
  reference: Reference | null;
  stale: boolean;
}) {
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const place = useWorkspace((s) => s.place);
  const phase = useWorkspace((s) => s.phase);
  const picking = useWorkspace((s) => s.picking);
  const rigging = useWorkspace((s) => s.rigging);
  const pointed = useWorkspace((s) => s.pointed);
  const selected = useWorkspace((s) => s.selected);
  const point = useWorkspace((s) => s.point);
  const select = useWorkspace((s) => s.select);
  const palette = PALETTES[usePreferences((p) => p.theme)];
  const units = useUnits();
  const { others } = manoeuvre;
  const { fenders } = manoeuvre.score;
  const spec = useMemo(() => toBoatSpec(withFenders(boat, fenders)), [boat, fenders]);
  const { beats } = manoeuvre.score;

  const home = useMemo(
    () => takeExtent(manoeuvre, boat, place, take),
    [manoeuvre, boat, place, take],
  );
  // Until the user moves the view, it keeps what the first take needs.
  const [firstTake, setFirstTake] = useState<Take | null>(null);
  if (take && !firstTake) setFirstTake(take);
  const [firstManoeuvre] = useState(manoeuvre);
  const opening = useMemo(
    () => takeExtent(firstManoeuvre, boat, place, firstTake),
    [firstManoeuvre, boat, place, firstTake],
  );
  const pointedNumber = beats.findIndex((beat) => beat.id === pointed);

  return (
    <WaterFrame
      opening={opening}
      home={home}
      take={take}
      named={(camera, view) => ({
        others,
        score: manoeuvre.score,
        goal: manoeuvre.goal,
        taken: take ? hurtBoxes(take, camera, view, units) : [],
      })}
      drawn={(_camera, origin) => (
        <>
          {take && (
            <Layer listening={false} opacity={stale ? 0.4 : 1}>
              <Group {...origin}>
                <TakeLayer
                  take={take}
                  spec={spec}
                  palette={palette}
                  pointed={pointedNumber < 0 ? null : pointedNumber}
                />
              </Group>
            </Layer>
          )}
          <AtPlayhead
            take={take}
            boat={boat}
            spec={spec}
            score={manoeuvre.score}
            others={others}
            palette={palette}
            origin={origin}
          />
        </>
      )}
      over={(camera, view) => (
        <>
          {take && legs.length > 0 && (
            <LeeSides take={take} legs={legs} beam={boat.hull.beam_m} camera={camera} view={view} />
          )}
          {reference && <ReferenceTrack reference={reference} camera={camera} view={view} />}
          {take && lastWayOut && (
            <LastWayOut take={take} at={lastWayOut} camera={camera} view={view} />
          )}
          {/* While a line is rigged only cleats and bollards are to be pressed. */}
          {take && !rigging && (
            <>
              <BeatNumbers
                take={take}
                beats={beats}
                camera={camera}
                view={view}
                pointed={pointed}
                selected={selected}
                onPoint={point}
                onSelect={select}
              />
              {/* Above the numbers: what went wrong has to be read. */}
              <HurtMarks take={take} camera={camera} view={view} />
            </>
          )}
          {phase === 'score' && !picking && !rigging && (
            <>
              <StartGrip camera={camera} />
              <OtherGrips camera={camera} />
            </>
          )}
          {rigging && <RigLayer camera={camera} view={view} />}
          {picking && (
            <PickLayer picking={picking} around={{ place, others }} camera={camera} view={view} />
          )}
          <ConditionGrips up={camera.up * DEGREES_PER_RADIAN} />
        </>
      )}
    />
  );
}
