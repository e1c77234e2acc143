'use client';
import { useMemo, useState } from 'react';
import { Group, Layer } from 'react-konva';
import type { Leg } from '@/core/brief';
import type { Run } from '@/core/plan';
import type { WayOutAt } from '@/core/search';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { toBoatSpec, withFenders, type Boat, type LastResult } from '@/document';
import { useWorkspace } from '../state/context';
import type { Reference } from '../state/workspace';
import { usePreferences, useUnits } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { AtPlayhead } from './AtPlayhead';
import { numberBoxes, StepNumbers } from './StepNumbers';
import { ConditionGrips } from './ConditionGrips';
import { runExtent } from './extent';
import { FanLayer } from './FanLayer';
import { hurtBoxes, HurtMarks } from './HurtMarks';
import { LastTrack } from './LastTrack';
import { LastWayOut } from './LastWayOut';
import { LeeSides } from './LeeSides';
import { OtherGrips } from './OtherGrips';
import { PickLayer } from './PickLayer';
import { ReferenceTrack } from './ReferenceTrack';
import { RigLayer } from './RigLayer';
import { StartGrip } from './StartGrip';
import { RunLayer } from './RunLayer';
import { WaterFrame } from './WaterFrame';

/** The plan of the place with the boat and what the run leaves on it. */
export function Water({
  run,
  boat,
  legs,
  lastWayOut,
  reference,
  stale,
  lastKnown,
}: {
  run: Run | null;
  /** The boat the run is of. */
  boat: Boat;
  /** Legs whose dangerous and safe sides are to be drawn. */
  legs: readonly Leg[];
  lastWayOut: WayOutAt | null;
  /** Another run drawn under it, to be held against. */
  reference: Reference | null;
  stale: boolean;
  /** What it came to the last time; drawn until there is a run. */
  lastKnown: LastResult | null;
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
  const { fenders } = manoeuvre.plan;
  const spec = useMemo(() => toBoatSpec(withFenders(boat, fenders)), [boat, fenders]);
  const { steps } = manoeuvre.plan;

  const home = useMemo(() => runExtent(manoeuvre, boat, place, run), [manoeuvre, boat, place, run]);
  // Until the user moves the view, it keeps what the first run needs.
  const [firstRun, setFirstRun] = useState<Run | null>(null);
  if (run && !firstRun) setFirstRun(run);
  const [firstManoeuvre] = useState(manoeuvre);
  const opening = useMemo(
    () => runExtent(firstManoeuvre, boat, place, firstRun, lastKnown),
    [firstManoeuvre, boat, place, firstRun, lastKnown],
  );
  const pointedNumber = steps.findIndex((step) => step.id === pointed);

  return (
    <WaterFrame
      opening={opening}
      home={home}
      run={run}
      named={(camera, view) => ({
        others,
        plan: manoeuvre.plan,
        goal: manoeuvre.goal,
        taken: run
          ? [...numberBoxes(run, steps, camera, view), ...hurtBoxes(run, camera, view, units)]
          : [],
      })}
      drawn={(_camera, origin) => (
        <>
          {run && (
            <Layer listening={false} opacity={stale ? 0.4 : 1}>
              <Group {...origin}>
                <RunLayer
                  run={run}
                  spec={spec}
                  palette={palette}
                  pointed={pointedNumber < 0 ? null : pointedNumber}
                />
                <FanLayer deck={spec.hull.deck} palette={palette} />
              </Group>
            </Layer>
          )}
          <AtPlayhead
            run={run}
            boat={boat}
            spec={spec}
            plan={manoeuvre.plan}
            others={others}
            palette={palette}
            origin={origin}
          />
        </>
      )}
      over={(camera, view) => (
        <>
          {run && legs.length > 0 && (
            <LeeSides run={run} legs={legs} beam={boat.hull.beam_m} camera={camera} view={view} />
          )}
          {!run && lastKnown && (
            <LastTrack last={lastKnown} boat={boat} camera={camera} view={view} />
          )}
          {reference && <ReferenceTrack reference={reference} camera={camera} view={view} />}
          {run && lastWayOut && (
            <LastWayOut run={run} at={lastWayOut} camera={camera} view={view} />
          )}
          {/* While a line is rigged only cleats and bollards are to be pressed. */}
          {run && !rigging && (
            <>
              <StepNumbers
                run={run}
                steps={steps}
                camera={camera}
                view={view}
                pointed={pointed}
                selected={selected}
                onPoint={point}
                onSelect={select}
              />
              {/* Above the numbers: what went wrong has to be read. */}
              <HurtMarks run={run} camera={camera} view={view} />
            </>
          )}
          {phase === 'plan' && !picking && !rigging && (
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
