'use client';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { wrapTurn } from '@/core/math';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { useSize } from '../hooks/use-size';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { Gesture, type Draft } from '../state/workspace';
import { tidy } from '../words/units';
import { toGround, toScreen, type Camera } from './camera';

const OFF_PX = 16;
const MOVE_STEP_M = 0.5;
const TURN_STEP_DEG = 5;
/** As far from the place's origin as a start may be, m. */
const FURTHEST_M = 20000;

const held = (metres: number) => tidy(Math.max(-FURTHEST_M, Math.min(FURTHEST_M, metres)), 2);

/** The start on the water: the ring astern of the boat moves it, the one ahead turns it. Arrow keys do the same. */
export function StartGrip({ camera }: { camera: Camera }) {
  const start = useWorkspace((s) => s.manoeuvre.start);
  const length = useWorkspace((s) => s.boat.hull.length_m);
  return (
    <PoseGrip
      camera={camera}
      grip="start"
      what="Start"
      turning="Heading at the start"
      pose={start}
      length={length}
      write={(m, part) => {
        m.start = { ...m.start, ...part };
      }}
    />
  );
}

export interface GripPose {
  readonly x_m: number;
  readonly y_m: number;
  readonly heading_deg: number;
}

/** A ring that moves a boat, and one ahead of it that turns it; by dragging or by arrow keys, each undone as one. */
export function PoseGrip({
  camera,
  grip,
  what,
  turning: turningText,
  pose: start,
  length,
  write,
}: {
  camera: Camera;
  grip: string;
  what: string;
  turning: string;
  pose: GripPose;
  length: number;
  write: (manoeuvre: Draft, part: Partial<GripPose>) => void;
}) {
  const store = useWorkspaceStore();
  const [frame, view] = useSize<HTMLDivElement>();
  const gesture = useRef<Gesture | null>(null);
  const drag = useRef<{ px: number; py: number; x: number; y: number } | null>(null);

  const begin = () => {
    gesture.current = new Gesture(store);
  };
  const end = (cancelled: boolean) => {
    drag.current = null;
    if (cancelled) gesture.current?.cancel();
    else gesture.current?.end();
    gesture.current = null;
  };
  const change = (part: Partial<GripPose>) => gesture.current?.edit((m) => write(m, part));
  const moveTo = (x: number, y: number) => change({ x_m: held(x), y_m: held(y) });
  const turnTo = (deg: number) => change({ heading_deg: ((Math.round(deg) % 360) + 360) % 360 });

  const moving = {
    onPointerDown: (event: PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { px: event.clientX, py: event.clientY, x: start.x_m, y: start.y_m };
      begin();
    },
    onPointerMove: (event: PointerEvent) => {
      const from = drag.current;
      if (!from) return;
      const [east, north] = toGround(camera, event.clientX - from.px, event.clientY - from.py);
      moveTo(from.x + east, from.y + north);
    },
  };
  const turning = {
    onPointerDown: (event: PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { px: event.clientX, py: event.clientY, x: start.x_m, y: start.y_m };
      begin();
    },
    onPointerMove: (event: PointerEvent) => {
      const box = frame.current?.getBoundingClientRect();
      if (!drag.current || !box) return;
      const [px, py] = toScreen(camera, view, start.x_m, start.y_m);
      const [east, north] = toGround(
        camera,
        event.clientX - box.left - px,
        event.clientY - box.top - py,
      );
      turnTo(wrapTurn(Math.atan2(east, north)) * DEGREES_PER_RADIAN);
    },
  };
  const ends = { onPointerUp: () => end(false), onPointerCancel: () => end(true) };

  const nudge = (event: KeyboardEvent, act: Record<string, () => void>) => {
    if (event.key === 'Escape' && drag.current) {
      event.stopPropagation();
      end(true);
      return;
    }
    const does = act[event.key];
    if (!does) return;
    event.preventDefault();
    event.stopPropagation();
    begin();
    does();
    end(false);
  };

  const heading = start.heading_deg / DEGREES_PER_RADIAN;
  const reach = 0.5 * length + OFF_PX / camera.scale;
  const along = (metres: number) =>
    toScreen(
      camera,
      view,
      start.x_m + metres * Math.sin(heading),
      start.y_m + metres * Math.cos(heading),
    );
  const [ax, ay] = along(-reach);
  const [bx, by] = along(reach);
  const shape = 'absolute flex size-8 -translate-1/2 touch-none items-center justify-center';
  const ring = 'size-3.5 rounded-full border-2 border-plan bg-paper';
  return (
    <div ref={frame} className="pointer-events-none absolute inset-0 overflow-hidden">
      <button
        type="button"
        data-grip={grip}
        aria-label={`${what}: drag to move it, or arrow keys`}
        title={`${what}: drag to move it, or arrow keys`}
        className={`${shape} pointer-events-auto cursor-grab active:cursor-grabbing`}
        style={{ left: ax, top: ay }}
        {...moving}
        {...ends}
        onKeyDown={(event) =>
          nudge(event, {
            ArrowLeft: () => moveTo(start.x_m - MOVE_STEP_M, start.y_m),
            ArrowRight: () => moveTo(start.x_m + MOVE_STEP_M, start.y_m),
            ArrowUp: () => moveTo(start.x_m, start.y_m + MOVE_STEP_M),
            ArrowDown: () => moveTo(start.x_m, start.y_m - MOVE_STEP_M),
          })
        }
      >
        <span className={ring} />
      </button>
      <button
        type="button"
        data-grip={`${grip} heading`}
        aria-label={`${turningText}, ${start.heading_deg}°: drag to turn it, or arrow keys`}
        title={`${turningText}: drag to turn it, or arrow keys`}
        className={`${shape} pointer-events-auto cursor-grab active:cursor-grabbing`}
        style={{ left: bx, top: by }}
        {...turning}
        {...ends}
        onKeyDown={(event) =>
          nudge(event, {
            ArrowLeft: () => turnTo(start.heading_deg - TURN_STEP_DEG),
            ArrowRight: () => turnTo(start.heading_deg + TURN_STEP_DEG),
          })
        }
      >
        <svg width="18" height="18" viewBox="-9 -9 18 18" aria-hidden>
          <path
            d="M0 -7 L6 6 H-6 Z"
            transform={`rotate(${start.heading_deg - camera.up * DEGREES_PER_RADIAN})`}
            className="fill-paper stroke-plan"
            strokeWidth="2"
          />
        </svg>
      </button>
    </div>
  );
}
