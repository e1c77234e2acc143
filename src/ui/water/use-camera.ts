'use client';
import { useGesture } from '@use-gesture/react';
import { useMemo, useState, type KeyboardEvent, type RefObject } from 'react';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { fit, pan, toScreen, withHer, zoom, type Box, type Camera, type View } from './camera';

export const ZOOM_STEP = 1.25;
const FIT_MARGIN_PX = 56;
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

/** A plan that is moved, zoomed and turned, by hand, wheel, fingers and keys. */
export function useCamera({
  frame,
  view,
  opening,
  home,
  up = 0,
  her = null,
  follow = null,
  onTap,
}: {
  frame: RefObject<HTMLElement | null>;
  view: View;
  /** What is shown until the user moves the view, and what "show the whole" goes to. */
  opening: Box;
  home: Box;
  up?: number;
  /** Where the boat is the view goes with. */
  her?: { readonly x: number; readonly y: number } | null;
  follow?: Follow | null;
  /** Pressed and let go without being moved: where in the view, px. */
  onTap?: (px: number, py: number) => void;
}) {
  const size = useMemo(
    () => ({ width: view.width, height: view.height }),
    [view.width, view.height],
  );
  // Turning with the boat, the whole is what it is north up.
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
      onDrag: ({ delta: [dx, dy], xy: [px, py], tap, pinching, cancel }) => {
        const box = frame.current?.getBoundingClientRect();
        if (pinching) cancel();
        else if (tap) {
          if (box) onTap?.(px - box.left, py - box.top);
        } else setCamera((c) => pan({ ...(c ?? first), up }, dx, dy));
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
        const [px, py] = [event.clientX - box.left, event.clientY - box.top];
        setCamera((c) => zoom({ ...(c ?? first), up }, view, factor, px, py));
      },
    },
    // Followed by the window: a pointer that is captured is let go, here and there, when something else on the page is laid out anew.
    {
      drag: { filterTaps: true, pointer: { capture: false } },
      wheel: { eventOptions: { passive: true } },
    },
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
  const onKeyDown = (event: KeyboardEvent) => {
    const act = keys[event.key];
    if (!act || event.target !== event.currentTarget) return;
    event.preventDefault();
    event.stopPropagation();
    act();
  };
  return {
    camera: shown,
    origin,
    bind,
    onKeyDown,
    zoomBy,
    showWhole: () => setCamera(whole),
    view,
  };
}
