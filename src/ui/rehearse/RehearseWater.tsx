'use client';
import { useCallback, useMemo } from 'react';
import { Group, Layer } from 'react-konva';
import type { Run } from '@/core/plan';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { toBoatSpec, withFenders } from '@/document';
import { useWorkspace } from '../state/context';
import { usePreferences, useUnits } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { AtPlayhead } from '../water/AtPlayhead';
import { pan, toScreen, type Camera, type View } from '../water/camera';
import { runExtent } from '../water/extent';
import { HurtMarks } from '../water/HurtMarks';
import { goneFrom } from '../water/TrafficLayer';
import { RunLayer } from '../water/RunLayer';
import { WaterFrame } from '../water/WaterFrame';
import { distance } from '../words/units';
import { AheadOutlines, DriftArrow, Ghost } from './LiveLayers';
import { useHelmPreferences } from './preferences';
import { Ripples } from './Ripples';
import { useLiveState } from './use-live';
import { WindFlag } from './WindFlag';

/** The boat is kept off the edge of the view by this share of it. */
const EDGE = 0.12;
const TAG_OFF_PX = 26;

/** The water while the boat is driven: the boat as it goes, and whatever of the aids is switched on. */
export function RehearseWater({ planned }: { planned: Run | null }) {
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const place = useWorkspace((s) => s.place);
  const boat = useWorkspace((s) => s.boat);
  const palette = PALETTES[usePreferences((p) => p.theme)];
  const { others } = manoeuvre;
  const { fenders } = manoeuvre.plan;
  const spec = useMemo(() => toBoatSpec(withFenders(boat, fenders)), [boat, fenders]);
  const recent = useLiveState((s) => s.recent);
  const soFar = useLiveState((s) => s.soFar);
  const running = useLiveState((s) => s.status === 'running');
  const ghost = useHelmPreferences((p) => p.aids.ghost);
  const extent = useMemo(
    () => runExtent(manoeuvre, boat, place, planned),
    [manoeuvre, boat, place, planned],
  );
  const traffic = useLiveState((s) => s.traffic);
  const gone = useMemo(() => goneFrom(traffic), [traffic]);
  const along = useLiveState((s) => s.ghost?.run) ?? planned;
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
      run={shown}
      named={() => ({ others, plan: manoeuvre.plan, goal: manoeuvre.goal })}
      follow={follow}
      gone={gone}
      under={({ up }) => <Ripples up={up * DEGREES_PER_RADIAN} />}
      drawn={(_camera, origin) => (
        <>
          {ghost && along && !soFar && (
            <Layer listening={false} opacity={0.45}>
              <Group {...origin}>
                <RunLayer run={along} spec={spec} palette={palette} pointed={null} />
              </Group>
            </Layer>
          )}
          {soFar && (
            <Layer listening={false}>
              <Group {...origin}>
                <RunLayer run={soFar} spec={spec} palette={palette} pointed={null} />
              </Group>
            </Layer>
          )}
          <AtPlayhead
            run={shown}
            boat={boat}
            spec={spec}
            plan={manoeuvre.plan}
            others={others}
            traffic={traffic}
            palette={palette}
            origin={origin}
            under={
              <>
                <AheadOutlines spec={spec} palette={palette} />
                {ghost && along && <Ghost run={along} spec={spec} palette={palette} />}
              </>
            }
            over={recent && !soFar && <DriftArrow recent={recent} palette={palette} />}
          />
        </>
      )}
      over={(camera, view) => (
        <>
          {soFar && <HurtMarks run={soFar} camera={camera} view={view} />}
          {!soFar && <TransitLine camera={camera} view={view} />}
          {!soFar && <NearbyTags camera={camera} view={view} />}
          <WindFlag up={camera.up * DEGREES_PER_RADIAN} />
        </>
      )}
    />
  );
}

/** How far off the nearest things are, each where the boat is nearest to it; the nearest of all is told the loudest. */
function NearbyTags({ camera, view }: { camera: Camera; view: View }) {
  const units = useUnits();
  const on = useHelmPreferences((p) => p.aids.nearest);
  const nearby = useLiveState((s) => s.now?.nearby);
  const recent = useLiveState((s) => s.recent);
  if (!on || !nearby || !recent) return null;
  const last = recent.trace.x.length - 1;
  const [midX, midY] = toScreen(camera, view, recent.trace.x[last]!, recent.trace.y[last]!);
  const placed: [number, number][] = [];
  return nearby.map(({ name, distance: gap, x: atX, y: atY }, i) => {
    const [x, y] = toScreen(camera, view, atX, atY);
    // Outside the boat, seen from midships.
    const far = Math.max(1, Math.hypot(x - midX, y - midY));
    const left = x + (TAG_OFF_PX * (x - midX)) / far;
    const top = y + (TAG_OFF_PX * (y - midY)) / far;
    // Two at one place of the boat would cover one another: the nearer is told.
    if (placed.some(([u, v]) => Math.abs(u - left) < 48 && Math.abs(v - top) < 18)) return null;
    placed.push([left, top]);
    const loud = gap < 1 ? 'font-bold text-hurt' : i === 0 ? 'text-ink' : 'text-quiet';
    return (
      <p
        key={name}
        className={`on-water figures pointer-events-none absolute -translate-x-1/2 -translate-y-1/2 whitespace-nowrap ${i === 0 ? 'text-[14px]' : 'text-[12.5px]'} ${loud}`}
        style={{ left, top }}
      >
        {distance(Math.max(0, gap), units)}
      </p>
    );
  });
}

/** The line of the transit the boat is held to, from the far thing past it. */
function TransitLine({ camera, view }: { camera: Camera; view: View }) {
  const transit = useLiveState((s) => s.transit);
  const eye = useLiveState((s) => s.now?.eye);
  if (!transit || !eye) return null;
  const { near, far } = transit;
  const length = Math.hypot(far.x - near.x, far.y - near.y);
  const beyond = Math.hypot(eye.x - far.x, eye.y - far.y) * 1.15;
  const [ex, ey] = [(near.x - far.x) / length, (near.y - far.y) / length];
  const [ax, ay] = toScreen(camera, view, far.x, far.y);
  const [nx, ny] = toScreen(camera, view, near.x, near.y);
  const [bx, by] = toScreen(camera, view, far.x + ex * beyond, far.y + ey * beyond);
  return (
    <svg
      className="pointer-events-none absolute inset-0 size-full"
      data-testid="transit-line"
      aria-hidden
    >
      <path
        d={`M${ax} ${ay} L${bx} ${by}`}
        className="stroke-plan"
        strokeWidth="1.2"
        strokeDasharray="8 3 2 3"
      />
      <path
        d={`M${ax - 6} ${ay} h12 M${ax} ${ay - 6} v12`}
        className="stroke-plan"
        strokeWidth="2"
      />
      <circle cx={nx} cy={ny} r="5" fill="none" className="stroke-plan" strokeWidth="2" />
      <text
        x={ax}
        y={ay - 10}
        textAnchor="middle"
        className="fill-plan stroke-water text-[11px]"
        strokeWidth="3"
        paintOrder="stroke"
      >
        {far.name}
      </text>
    </svg>
  );
}
