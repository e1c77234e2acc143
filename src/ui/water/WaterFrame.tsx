'use client';
import { useMemo, type CSSProperties, type ReactNode } from 'react';
import { Group, Layer, Stage } from 'react-konva';
import type { Run } from '@/core/plan';
import { toBoatSpec, withFenders } from '@/document';
import { useWorkspace } from '../state/context';
import { usePreferences } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { useSize } from '../hooks/use-size';
import type { Box, Camera, View } from './camera';
import { PlaceLayer } from './PlaceLayer';
import { PlaceNames, type Named } from './PlaceNames';
import { ScaleBar } from './ScaleBar';
import { CurrentArrows } from './CurrentArrows';
import { useCamera, type Follow, type Origin } from './use-camera';
import { useUp } from './use-up';
import { UpButton } from './UpButton';
import { WindShelter } from './WindShelter';
import { ZoomButtons } from './ZoomButtons';

/**
 * The plan of the place, moved about and zoomed, with whatever lies on it: the same water whatever it is used for.
 */
export function WaterFrame({
  opening,
  home,
  drawn,
  over,
  run,
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
  /** The run looked at: with the boat's way up, the view goes with it. */
  run: Pick<Run, 'trace'> | null;
  /** What stands on the water with its name. */
  named: (camera: Camera, view: View) => Named;
  /** Is asked after every drawing for where the camera should be instead; null to leave it. */
  follow?: Follow;
  /** Ids of what lies there no more. */
  gone?: ReadonlySet<string>;
  /** What is seen of the water itself, under everything. */
  under?: (camera: Camera) => ReactNode;
}) {
  const [frame, size] = useSize<HTMLDivElement>();
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const place = useWorkspace((s) => s.place);
  const standing = useMemo(
    () =>
      gone?.size ? { ...place, features: place.features.filter(({ id }) => !gone.has(id)) } : place,
    [place, gone],
  );
  const boat = useWorkspace((s) => s.boat);
  const palette = PALETTES[usePreferences((p) => p.theme)];
  const { fenders } = manoeuvre.plan;
  const spec = useMemo(() => toBoatSpec(withFenders(boat, fenders)), [boat, fenders]);
  const { up, her } = useUp(run);
  const {
    camera: shown,
    origin,
    bind,
    onKeyDown,
    zoomBy,
    showWhole,
    view,
  } = useCamera({
    frame,
    view: size,
    opening,
    home,
    up,
    her,
    follow: follow ?? null,
  });
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
      <CurrentArrows conditions={manoeuvre.conditions} place={place} camera={shown} view={view} />
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
        aria-label="Plan of the place. Arrow keys move it, plus and minus zoom, 0 shows the whole run."
        tabIndex={0}
        onKeyDown={onKeyDown}
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
      <ZoomButtons zoomBy={zoomBy} showWhole={showWhole} whole="the whole run">
        <UpButton up={up} />
      </ZoomButtons>
    </section>
  );
}
