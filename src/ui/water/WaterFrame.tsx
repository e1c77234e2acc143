'use client';
import { useGesture } from '@use-gesture/react';
import { Maximize, Minus, Plus } from 'lucide-react';
import { useMemo, useState, type CSSProperties, type ReactNode } from 'react';
import { Group, Layer, Stage } from 'react-konva';
import type { Take } from '@/core/score';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { toBoatSpec, withFenders } from '@/document';
import { IconButton } from '../parts/IconButton';
import { useWorkspace } from '../state/context';
import { usePreferences } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { useSize } from '../hooks/use-size';
import { fit, pan, toScreen, withHer, zoom, type Box, type Camera, type View } from './camera';
import { PlaceLayer } from './PlaceLayer';
import { PlaceNames, type Named } from './PlaceNames';
import { ScaleBar } from './ScaleBar';
import { StreamArrows } from './StreamArrows';
import { useUp } from './use-up';
import { UpButton } from './UpButton';
import { WindShelter } from './WindShelter';

const FIT_MARGIN_PX = 56;
const ZOOM_STEP = 1.25;
const PAN_STEP_PX = 60;

/** How metres of the place stand on the screen: for a group of drawings. */
export interface Origin {
  readonly x: number;
  readonly y: number;
  readonly scaleX: number;
  readonly scaleY: number;
  /** Degrees clockwise. */
  readonly rotation: number;
}

/** Keeps something in view: the camera is moved when it comes near the edge. */
export type Follow = (camera: Camera, view: View) => Camera | null;

/**
 * The plan of the place, moved about and zoomed, with whatever lies on it: the same water whatever it is used for.
 */
export function WaterFrame({
  opening,
  home,
  drawn,
  over,
  take,
  named,
  follow,
  gone,
  under,
}: {
  /** What is shown until the user moves the view, and what "show the whole" goes to. */
  opening: Box;
  home: Box;
  /** Layers over the plan, in metres. */
  drawn: (camera: Camera, origin: Origin) => ReactNode;
  /** What lies over the drawing, on the page. */
  over: (camera: Camera, view: View) => ReactNode;
  /** The take looked at: with the boat's way up, the view goes with her. */
  take: Pick<Take, 'trace'> | null;
  /** What stands on the water with its name. */
  named: (camera: Camera, view: View) => Named;
  /** Is asked after every drawing for where the camera should be instead; null to leave it. */
  follow?: Follow;
  /** Ids of what lies there no more. */
  gone?: ReadonlySet<string>;
  /** What is seen of the water itself, under everything. */
  under?: (camera: Camera) => ReactNode;
}) {
  const [frame, view] = useSize<HTMLDivElement>();
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const place = useWorkspace((s) => s.place);
  const standing = useMemo(
    () =>
      gone?.size ? { ...place, features: place.features.filter(({ id }) => !gone.has(id)) } : place,
    [place, gone],
  );
  const boat = useWorkspace((s) => s.boat);
  const palette = PALETTES[usePreferences((p) => p.theme)];
  const { fenders } = manoeuvre.score;
  const spec = useMemo(() => toBoatSpec(withFenders(boat, fenders)), [boat, fenders]);
  const size = useMemo(
    () => ({ width: view.width, height: view.height }),
    [view.width, view.height],
  );
  const { up, her } = useUp(take);
  // Turning with her, the whole is what it is north up.
  const still = her ? 0 : up;
  const first = useMemo(() => fit(opening, size, FIT_MARGIN_PX, still), [opening, size, still]);
  const whole = useMemo(() => fit(home, size, FIT_MARGIN_PX, still), [home, size, still]);
  const [camera, setCamera] = useState<Camera | null>(null);
  const turned = { ...(camera ?? first), up };
  const shown = her ? withHer(turned, view, her) : turned;
  const followed = !her && follow && view.width > 0 ? follow(shown, view) : null;
  if (followed) setCamera(followed);

  const bind = useGesture(
    {
      onDrag: ({ delta: [dx, dy], pinching, cancel }) => {
        if (pinching) cancel();
        else setCamera(pan(shown, dx, dy));
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
        setCamera(zoom(shown, view, factor, event.clientX - box.left, event.clientY - box.top));
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
    '0': () => setCamera(whole),
  };

  const [originX, originY] = toScreen(shown, view, 0, 0);
  const origin: Origin = {
    x: originX,
    y: originY,
    scaleX: shown.scale,
    scaleY: -shown.scale,
    rotation: -up * DEGREES_PER_RADIAN,
  };
  const names = named(shown, view);

  return (
    <section
      aria-label="The water"
      className="relative h-full overflow-hidden bg-water max-md:h-[46dvh] print:h-[110mm] print:w-(--drawn)"
      // Paper is as wide as it likes; what is drawn keeps the width it was drawn for.
      style={{ '--drawn': `${view.width}px` } as CSSProperties}
    >
      {/* Under everything that stands or floats. */}
      {under?.(shown)}
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
        aria-label="Plan of the place. Arrow keys move it, plus and minus zoom, 0 shows the whole take."
        tabIndex={0}
        onKeyDown={(event) => {
          const act = keys[event.key];
          if (!act || event.target !== event.currentTarget) return;
          event.preventDefault();
          event.stopPropagation();
          act();
        }}
        className="absolute inset-0 cursor-grab touch-none active:cursor-grabbing focus-visible:-outline-offset-2"
      >
        {view.width > 0 && (
          <Stage width={view.width} height={view.height} listening={false}>
            <Layer listening={false}>
              <Group {...origin}>
                <PlaceLayer
                  place={standing}
                  palette={palette}
                  scale={shown.scale}
                  goal={manoeuvre.goal.is === 'lie' ? manoeuvre.goal.mark : null}
                />
              </Group>
            </Layer>
            {drawn(shown, origin)}
          </Stage>
        )}
      </div>
      <PlaceNames place={place} named={names} camera={shown} view={view} />
      {over(shown, view)}
      <ScaleBar camera={shown} />
      <div className="absolute right-3 top-3 flex flex-col border border-hairline bg-paper print:hidden">
        <IconButton label="Closer" onClick={() => zoomBy(ZOOM_STEP)}>
          <Plus size={18} />
        </IconButton>
        <IconButton label="Wider" onClick={() => zoomBy(1 / ZOOM_STEP)}>
          <Minus size={18} />
        </IconButton>
        <IconButton label="Show the whole take" onClick={() => setCamera(whole)}>
          <Maximize size={16} />
        </IconButton>
        <UpButton up={up} />
      </div>
    </section>
  );
}
