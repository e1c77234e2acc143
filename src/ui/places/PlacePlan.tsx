'use client';
import { useMemo, useState } from 'react';
import { Group, Layer, Line, Stage } from 'react-konva';
import type { Place } from '@/document';
import type { GpxLayer } from '@/io/gpx';
import { useSize } from '../hooks/use-size';
import { usePreferences } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { fromScreen, type Box } from '../water/camera';
import { PlaceLayer } from '../water/PlaceLayer';
import { PlaceNames } from '../water/PlaceNames';
import { ScaleBar } from '../water/ScaleBar';
import { useCamera } from '../water/use-camera';
import { ZoomButtons } from '../water/ZoomButtons';
import { DraftLine } from './DraftLine';
import { cornersOf, gistOf, replaced, thingOf } from './edit';
import { Handles } from './Handles';
import { thingAt, type Thing } from './hit';
import { snap, type Snapped, type XY } from './snap';
import { usePlace } from './store';
import { TraceLayer } from './TraceLayer';
import { cornersOfPicture, Underlay, type Picture } from './Underlay';

/** What an empty place shows: a hundred metres of water. */
const EMPTY: Box = { minX: -50, minY: -30, maxX: 50, maxY: 30 };
const MARGIN_M = 8;

function boxOf(all: readonly XY[]): Box {
  if (all.length === 0) return EMPTY;
  const xs = all.map(([x]) => x);
  const ys = all.map(([, y]) => y);
  return {
    minX: Math.min(...xs) - MARGIN_M,
    minY: Math.min(...ys) - MARGIN_M,
    maxX: Math.max(...xs) + MARGIN_M,
    maxY: Math.max(...ys) + MARGIN_M,
  };
}

/** The place on the water, to be drawn on: pressed, dragged, measured. */
export function PlacePlan({
  preview,
  picture,
  layers,
  put,
  choose,
  edit,
}: {
  /** What would be added, shown before it is. */
  preview: Place | null;
  picture: Picture | null;
  layers: readonly GpxLayer[];
  /** A point put with the tool at hand. */
  put: (at: XY) => void;
  choose: (id: string | null) => void;
  edit: (place: Place) => void;
}) {
  const place = usePlace((s) => s.place);
  const chosenId = usePlace((s) => s.chosen);
  const tool = usePlace((s) => s.tool);
  const points = usePlace((s) => s.points);
  const palette = PALETTES[usePreferences((p) => p.theme)];
  const [frame, size] = useSize<HTMLDivElement>();
  const [opening] = useState(() => boxOf(gistOf(place)));
  const home = useMemo(
    () =>
      boxOf([
        ...[...place.features, ...place.berths].flatMap(cornersOf),
        ...(picture ? cornersOfPicture(picture) : []),
      ]),
    [place, picture],
  );
  const [pointer, setPointer] = useState<Snapped | null>(null);
  const [dragged, setDragged] = useState<Thing | null>(null);
  const draws = tool.is !== 'choose';
  const { camera, origin, bind, onKeyDown, zoomBy, showWhole, view } = useCamera({
    frame,
    view: size,
    opening,
    home,
    onTap: (px, py) => {
      const at = fromScreen(camera, view, px, py);
      if (draws) put(snap(place, at, points, camera.scale).at);
      else choose(thingAt(place, at, camera.scale)?.id ?? null);
    },
  });
  const shown = dragged ? replaced(place, dragged) : place;
  const chosen = thingOf(shown, chosenId);
  return (
    <section
      aria-label="The plan"
      className="relative h-full overflow-hidden bg-water"
      onPointerMove={(event) => {
        const box = frame.current?.getBoundingClientRect();
        if (!draws || !box) return;
        const at = fromScreen(camera, view, event.clientX - box.left, event.clientY - box.top);
        setPointer(snap(place, at, points, camera.scale));
      }}
      onPointerLeave={() => setPointer(null)}
    >
      {picture && <Underlay picture={picture} camera={camera} view={view} />}
      <div
        ref={frame}
        {...bind()}
        role="application"
        aria-label="Plan of the place. Arrow keys move it, plus and minus zoom, 0 shows all of it."
        tabIndex={0}
        onKeyDown={onKeyDown}
        className={`absolute inset-0 touch-none focus-visible:-outline-offset-2 ${draws ? 'cursor-crosshair' : 'cursor-default'}`}
      >
        {view.width > 0 && (
          <Stage width={view.width} height={view.height} listening={false}>
            <Layer listening={false} opacity={picture ? 0.75 : 1}>
              <Group {...origin}>
                <PlaceLayer place={shown} palette={palette} scale={camera.scale} goal={null} />
                {shown.berths.map(({ id, edge_m }) => (
                  <Line
                    key={id}
                    points={edge_m.flat()}
                    stroke={palette.plan}
                    strokeWidth={id === chosenId ? 5 : 3}
                    strokeScaleEnabled={false}
                  />
                ))}
              </Group>
            </Layer>
            {preview && (
              <Layer listening={false} opacity={0.55}>
                <Group {...origin}>
                  <PlaceLayer place={preview} palette={palette} scale={camera.scale} goal={null} />
                  {preview.berths.map(({ id, edge_m }) => (
                    <Line
                      key={id}
                      points={edge_m.flat()}
                      stroke={palette.plan}
                      strokeWidth={3}
                      strokeScaleEnabled={false}
                    />
                  ))}
                </Group>
              </Layer>
            )}
          </Stage>
        )}
      </div>
      {layers.length > 0 && <TraceLayer layers={layers} camera={camera} view={view} />}
      <PlaceNames place={preview ?? shown} named={null} camera={camera} view={view} />
      {draws && (
        <DraftLine tool={tool} points={points} pointer={pointer} camera={camera} view={view} />
      )}
      {chosen && !draws && (
        <Handles
          thing={chosen}
          kept={thingOf(place, chosenId)!}
          camera={camera}
          view={view}
          onDrag={setDragged}
          onDone={(thing) => {
            setDragged(null);
            if (thing) edit(replaced(place, thing));
          }}
        />
      )}
      <ScaleBar camera={camera} />
      <ZoomButtons zoomBy={zoomBy} showWhole={showWhole} whole="all of the place" />
    </section>
  );
}
