'use client';
import { useGesture } from '@use-gesture/react';
import { Maximize, Minus, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Group, Layer, Stage } from 'react-konva';
import type { Leg } from '@/core/brief';
import type { Take } from '@/core/score';
import type { WayOutAt } from '@/core/search';
import { breakingLoads, toBoatSpec, withFenders, type Boat } from '@/document';
import { IconButton } from '../parts/IconButton';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import type { Reference } from '../state/workspace';
import { usePreferences, useUnits } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { useSize } from '../hooks/use-size';
import { BeatNumbers } from './BeatNumbers';
import { BoatShape, type Works } from './BoatShape';
import { engineColumn, type MoreColumn } from '@/core/sim';
import { fit, pan, zoom, type Camera, type View } from './camera';
import { ConditionGrips } from './ConditionGrips';
import { takeExtent } from './extent';
import { hurtBoxes, HurtMarks } from './HurtMarks';
import { LastWayOut } from './LastWayOut';
import { LeeSides } from './LeeSides';
import { LineLayer } from './LineLayer';
import { OtherBoats } from './OtherBoats';
import { OtherGrips } from './OtherGrips';
import { PickLayer } from './PickLayer';
import { PlaceLayer } from './PlaceLayer';
import { PlaceNames } from './PlaceNames';
import { readAt } from './sample';
import { ReferenceTrack } from './ReferenceTrack';
import { RigLayer } from './RigLayer';
import { ScaleBar } from './ScaleBar';
import { StartGrip } from './StartGrip';
import { StreamArrows } from './StreamArrows';
import { TakeLayer } from './TakeLayer';
import { WindShelter } from './WindShelter';

const FIT_MARGIN_PX = 56;
const ZOOM_STEP = 1.25;
const PAN_STEP_PX = 60;

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
  const [frame, view] = useSize<HTMLDivElement>();
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
  const { lines, fenders } = manoeuvre.score;
  const spec = useMemo(() => toBoatSpec(withFenders(boat, fenders)), [boat, fenders]);
  const breaks = useMemo(() => breakingLoads(lines, { boat, others }), [lines, boat, others]);
  const { beats } = manoeuvre.score;

  const home = useMemo(() => {
    const open: View = { width: view.width, height: view.height };
    return fit(takeExtent(manoeuvre, boat, place, take), open, FIT_MARGIN_PX);
  }, [manoeuvre, boat, place, take, view.width, view.height]);
  // Until the user moves the view, it keeps what the first take needs.
  const [firstTake, setFirstTake] = useState<Take | null>(null);
  if (take && !firstTake) setFirstTake(take);
  const [firstManoeuvre] = useState(manoeuvre);
  const opening = useMemo(
    () =>
      fit(
        takeExtent(firstManoeuvre, boat, place, firstTake),
        { width: view.width, height: view.height },
        FIT_MARGIN_PX,
      ),
    [firstManoeuvre, boat, place, firstTake, view.width, view.height],
  );
  const [camera, setCamera] = useState<Camera | null>(null);
  const shown = camera ?? opening;

  const bind = useGesture(
    {
      onDrag: ({ delta: [dx, dy], pinching, cancel }) => {
        if (pinching) cancel();
        else setCamera((c) => pan(c ?? opening, dx, dy));
      },
      onPinch: ({ movement: [scale], memo, origin: [px, py], first: begins }) => {
        const from: Camera = begins || !memo ? shown : (memo as Camera);
        const box = frame.current?.getBoundingClientRect();
        if (box) setCamera(zoom(from, view, scale, px - box.left, py - box.top));
        return from;
      },
      onWheel: ({ event, delta: [, dy] }) => {
        const box = frame.current?.getBoundingClientRect();
        if (!box || event.ctrlKey) return;
        const factor = Math.exp(-dy * 0.0015);
        setCamera((c) =>
          zoom(c ?? opening, view, factor, event.clientX - box.left, event.clientY - box.top),
        );
      },
    },
    { drag: { filterTaps: true }, wheel: { eventOptions: { passive: true } } },
  );

  const zoomBy = (factor: number) =>
    setCamera(zoom(shown, view, factor, view.width / 2, view.height / 2));
  const keys: Record<string, () => void> = {
    ArrowLeft: () => setCamera(pan(shown, PAN_STEP_PX, 0)),
    ArrowRight: () => setCamera(pan(shown, -PAN_STEP_PX, 0)),
    ArrowUp: () => setCamera(pan(shown, 0, PAN_STEP_PX)),
    ArrowDown: () => setCamera(pan(shown, 0, -PAN_STEP_PX)),
    '+': () => zoomBy(ZOOM_STEP),
    '=': () => zoomBy(ZOOM_STEP),
    '-': () => zoomBy(1 / ZOOM_STEP),
    '0': () => setCamera(home),
  };

  const origin = {
    x: view.width / 2 - shown.x * shown.scale,
    y: view.height / 2 + shown.y * shown.scale,
    scaleX: shown.scale,
    scaleY: -shown.scale,
  };
  const pointedNumber = beats.findIndex((beat) => beat.id === pointed);

  return (
    <section
      aria-label="The water"
      className="relative h-full overflow-hidden bg-water max-md:h-[46dvh]"
    >
      {/* Under everything that stands or floats. */}
      <StreamArrows conditions={manoeuvre.conditions} place={place} camera={shown} view={view} />
      <WindShelter
        conditions={manoeuvre.conditions}
        place={place}
        spec={spec}
        camera={shown}
        view={view}
      />
      <div
        ref={frame}
        {...bind()}
        // A plan that is moved about with arrow keys and + − is an application region of its own.
        role="application"
        aria-label="Plan of the place, north up. Arrow keys move it, plus and minus zoom, 0 shows the whole take."
        tabIndex={0}
        onKeyDown={(event) => {
          const act = keys[event.key];
          if (!act || event.target !== event.currentTarget) return;
          event.preventDefault();
          act();
        }}
        className="absolute inset-0 cursor-grab touch-none active:cursor-grabbing focus-visible:-outline-offset-2"
      >
        {view.width > 0 && (
          <Stage width={view.width} height={view.height} listening={false}>
            <Layer listening={false}>
              <Group {...origin}>
                <PlaceLayer
                  place={place}
                  palette={palette}
                  scale={shown.scale}
                  goal={manoeuvre.goal.is === 'lie' ? manoeuvre.goal.mark : null}
                />
              </Group>
            </Layer>
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
            <Layer listening={false}>
              <Group {...origin}>
                <OtherBoats others={others} take={take} palette={palette} />
                {take && <BoatNow take={take} spec={spec} palette={palette} />}
                {take && (
                  <LineLayer
                    take={take}
                    spec={spec}
                    score={manoeuvre.score}
                    others={others}
                    breaks={breaks}
                    palette={palette}
                    scale={shown.scale}
                  />
                )}
              </Group>
            </Layer>
          </Stage>
        )}
      </div>
      {take && legs.length > 0 && (
        <LeeSides take={take} legs={legs} beam={boat.hull.beam_m} camera={shown} view={view} />
      )}
      {reference && <ReferenceTrack reference={reference} camera={shown} view={view} />}
      {take && lastWayOut && <LastWayOut take={take} at={lastWayOut} camera={shown} view={view} />}
      <PlaceNames
        place={place}
        others={others}
        score={manoeuvre.score}
        goal={manoeuvre.goal}
        camera={shown}
        view={view}
        taken={take ? hurtBoxes(take, shown, view, units) : []}
      />
      {/* While a line is rigged only cleats and bollards are to be pressed. */}
      {take && !rigging && (
        <>
          <BeatNumbers
            take={take}
            beats={beats}
            camera={shown}
            view={view}
            pointed={pointed}
            selected={selected}
            onPoint={point}
            onSelect={select}
          />
          {/* Above the numbers: what went wrong has to be read. */}
          <HurtMarks take={take} camera={shown} view={view} />
        </>
      )}
      {phase === 'score' && !picking && !rigging && (
        <>
          <StartGrip camera={shown} />
          <OtherGrips camera={shown} />
        </>
      )}
      {rigging && <RigLayer camera={shown} view={view} />}
      {picking && (
        <PickLayer picking={picking} around={{ place, others }} camera={shown} view={view} />
      )}
      <ConditionGrips />
      <ScaleBar camera={shown} />
      <div className="absolute right-3 top-3 flex flex-col border border-hairline bg-paper">
        <IconButton label="Closer" onClick={() => zoomBy(ZOOM_STEP)}>
          <Plus size={18} />
        </IconButton>
        <IconButton label="Wider" onClick={() => zoomBy(1 / ZOOM_STEP)}>
          <Minus size={18} />
        </IconButton>
        <IconButton label="Show the whole take" onClick={() => setCamera(home)}>
          <Maximize size={16} />
        </IconButton>
      </div>
    </section>
  );
}

function worksAt(take: Take, spec: ReturnType<typeof toBoatSpec>, time: number): Works {
  const rudder = readAt(take, 'rudder', time);
  return {
    rudder,
    rps: spec.drives.map((_, i) => readAt(take, engineColumn('rps', i), time)),
    angles: spec.drives.map(({ steering }, i) =>
      steering === 'fixed'
        ? 0
        : steering === 'wheel'
          ? rudder
          : readAt(take, `angle${i + 1}` as MoreColumn, time),
    ),
    thrusters: spec.thrusters.map((_, i) => readAt(take, `thruster${i + 1}` as MoreColumn, time)),
  };
}

/** The boat where the playhead is. A part of its own, so that playing redraws nothing else. */
function BoatNow({
  take,
  spec,
  palette,
}: {
  take: Take;
  spec: ReturnType<typeof toBoatSpec>;
  palette: (typeof PALETTES)['day'];
}) {
  const time = usePlayhead((p) => p.time);
  return (
    <BoatShape
      spec={spec}
      palette={palette}
      x={readAt(take, 'x', time)}
      y={readAt(take, 'y', time)}
      heading={readAt(take, 'heading', time)}
      works={worksAt(take, spec, time)}
    />
  );
}
