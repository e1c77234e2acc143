'use client';
import { useCallback, useMemo } from 'react';
import { Group, Layer } from 'react-konva';
import type { Take } from '@/core/score';
import { toBoatSpec, withFenders } from '@/document';
import { useWorkspace } from '../state/context';
import { usePreferences, useUnits } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { AtPlayhead } from '../water/AtPlayhead';
import { pan, toScreen, type Camera, type View } from '../water/camera';
import { takeExtent } from '../water/extent';
import { HurtMarks } from '../water/HurtMarks';
import { PlaceNames } from '../water/PlaceNames';
import { goneFrom } from '../water/TrafficLayer';
import { TakeLayer } from '../water/TakeLayer';
import { WaterFrame } from '../water/WaterFrame';
import { distance } from '../words/units';
import { AheadOutlines, DriftArrow, Ghost } from './LiveLayers';
import { useHelmPreferences } from './preferences';
import { Ripples } from './Ripples';
import { useLiveState } from './use-live';
import { WindFlag } from './WindFlag';

/** She is kept off the edge of the view by this share of it. */
const EDGE = 0.12;
const TAG_OFF_PX = 26;

/** The water while she is driven: the boat as she goes, and whatever of the aids is switched on. */
export function RehearseWater({ scored }: { scored: Take | null }) {
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const place = useWorkspace((s) => s.place);
  const boat = useWorkspace((s) => s.boat);
  const palette = PALETTES[usePreferences((p) => p.theme)];
  const { others } = manoeuvre;
  const { fenders } = manoeuvre.score;
  const spec = useMemo(() => toBoatSpec(withFenders(boat, fenders)), [boat, fenders]);
  const recent = useLiveState((s) => s.recent);
  const soFar = useLiveState((s) => s.soFar);
  const running = useLiveState((s) => s.status === 'running');
  const ghost = useHelmPreferences((p) => p.aids.ghost);
  const extent = useMemo(
    () => takeExtent(manoeuvre, boat, place, scored),
    [manoeuvre, boat, place, scored],
  );
  const traffic = useLiveState((s) => s.traffic);
  const gone = useMemo(() => goneFrom(traffic), [traffic]);
  const along = useLiveState((s) => s.ghost?.take) ?? scored;
  const shown = soFar ?? recent;

  const follow = useCallback(
    (camera: Camera, view: View): Camera | null => {
      if (!running || !recent) return null;
      const last = recent.trace.x.length - 1;
      const [px, py] = toScreen(camera, view, recent.trace.x[last]!, recent.trace.y[last]!);
      const off = (at: number, size: number) => at < EDGE * size || at > (1 - EDGE) * size;
      if (!off(px, view.width) && !off(py, view.height)) return null;
      return pan(camera, view.width / 2 - px, view.height / 2 - py);
    },
    [running, recent],
  );

  return (
    <WaterFrame
      opening={extent}
      home={extent}
      label="Plan of the place, north up. Plus and minus zoom, 0 shows the whole manoeuvre."
      follow={follow}
      gone={gone}
      under={<Ripples />}
      drawn={(_camera, origin) => (
        <>
          {ghost && along && !soFar && (
            <Layer listening={false} opacity={0.45}>
              <Group {...origin}>
                <TakeLayer take={along} spec={spec} palette={palette} pointed={null} />
              </Group>
            </Layer>
          )}
          {soFar && (
            <Layer listening={false}>
              <Group {...origin}>
                <TakeLayer take={soFar} spec={spec} palette={palette} pointed={null} />
              </Group>
            </Layer>
          )}
          <AtPlayhead
            take={shown}
            boat={boat}
            spec={spec}
            score={manoeuvre.score}
            others={others}
            traffic={traffic}
            palette={palette}
            origin={origin}
            under={
              <>
                <AheadOutlines spec={spec} palette={palette} />
                {ghost && along && <Ghost take={along} spec={spec} palette={palette} />}
              </>
            }
            over={recent && !soFar && <DriftArrow recent={recent} palette={palette} />}
          />
        </>
      )}
      over={(camera, view) => (
        <>
          <PlaceNames
            place={place}
            others={others}
            score={manoeuvre.score}
            goal={manoeuvre.goal}
            camera={camera}
            view={view}
            taken={[]}
          />
          {soFar && <HurtMarks take={soFar} camera={camera} view={view} />}
          {!soFar && <NearestTag camera={camera} view={view} />}
          <WindFlag />
        </>
      )}
    />
  );
}

/** How far off the nearest thing is, where she is nearest to it. */
function NearestTag({ camera, view }: { camera: Camera; view: View }) {
  const units = useUnits();
  const on = useHelmPreferences((p) => p.aids.nearest);
  const nearest = useLiveState((s) => s.now?.nearest ?? null);
  const recent = useLiveState((s) => s.recent);
  if (!on || !nearest || !recent || !Number.isFinite(nearest.distance)) return null;
  const [x, y] = toScreen(camera, view, nearest.x, nearest.y);
  const last = recent.trace.x.length - 1;
  const [midX, midY] = toScreen(camera, view, recent.trace.x[last]!, recent.trace.y[last]!);
  // Outside her, seen from midships.
  const far = Math.max(1, Math.hypot(x - midX, y - midY));
  const left = x + (TAG_OFF_PX * (x - midX)) / far;
  const top = y + (TAG_OFF_PX * (y - midY)) / far;
  return (
    <p
      className={`on-water figures pointer-events-none absolute -translate-x-1/2 -translate-y-1/2 whitespace-nowrap text-[14px] ${
        nearest.distance < 1 ? 'font-bold text-hurt' : 'text-ink'
      }`}
      style={{ left, top }}
    >
      {distance(Math.max(0, nearest.distance), units)}
    </p>
  );
}
