'use client';
import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';

export interface GripValue {
  /** Degrees the handle lies from the middle, clockwise from north. */
  readonly bearing: number;
  readonly speed: number;
}

const TURN_DEG = 5;
const LEAST_REACH_PX = 20;
/** The handle never leaves the water, however hard it blows. */
const MOST_REACH_PX = 100;

/**
 * Something on the water that is dragged to set a direction and a speed: wind or current. The handle's
 * bearing from the middle is the direction, its distance the speed. Arrow keys do the same.
 */
export function Grip({
  name,
  value,
  speedStep,
  most,
  pxPerSpeed,
  text,
  up,
  children,
  onBegin,
  onChange,
  onEnd,
}: {
  name: string;
  value: GripValue;
  speedStep: number;
  most: number;
  pxPerSpeed: number;
  /** What a screen reader says, and the label shows. */
  text: string;
  /** Degrees that point up the screen. */
  up: number;
  /** Drawing that goes with it, in a box centred on the middle. */
  children: ReactNode;
  onBegin: () => void;
  onChange: (value: GripValue) => void;
  onEnd: (cancelled: boolean) => void;
}) {
  const middle = useRef<HTMLDivElement>(null);
  const dragging = useRef(false);
  const drag = (event: PointerEvent) => {
    const box = middle.current?.getBoundingClientRect();
    if (!dragging.current || !box) return;
    const dx = event.clientX - box.left;
    const dy = event.clientY - box.top;
    const reach = Math.max(0, Math.hypot(dx, dy) - LEAST_REACH_PX);
    const bearing = ((Math.atan2(dx, -dy) * 180) / Math.PI + up + 720) % 360;
    const speed = Math.min(most, Math.round(reach / pxPerSpeed / speedStep) * speedStep);
    onChange({ bearing: Math.round(bearing) % 360, speed });
  };
  const stop = (cancelled: boolean) => {
    if (!dragging.current) return;
    dragging.current = false;
    onEnd(cancelled);
  };

  const nudge = (change: Partial<GripValue>) => {
    onBegin();
    onChange({ ...value, ...change });
    onEnd(false);
  };
  const keys: Record<string, () => void> = {
    ArrowLeft: () => nudge({ bearing: (value.bearing + 360 - TURN_DEG) % 360 }),
    ArrowRight: () => nudge({ bearing: (value.bearing + TURN_DEG) % 360 }),
    ArrowUp: () => nudge({ speed: Math.min(most, value.speed + speedStep) }),
    ArrowDown: () => nudge({ speed: Math.max(0, value.speed - speedStep) }),
  };
  const press = (event: KeyboardEvent) => {
    if (event.key === 'Escape' && dragging.current) {
      event.stopPropagation();
      stop(true);
      return;
    }
    const act = keys[event.key];
    if (!act) return;
    event.preventDefault();
    event.stopPropagation();
    act();
  };

  const reach = Math.min(MOST_REACH_PX, LEAST_REACH_PX + value.speed * pxPerSpeed);
  const angle = ((value.bearing - up) * Math.PI) / 180;
  return (
    <div ref={middle} className="absolute size-0">
      {children}
      {/* On the side away from the ring, which would lie on the words. */}
      <p
        className={`pointer-events-none absolute w-40 -translate-x-1/2 text-center text-[12px] leading-tight ${Math.cos(angle) < -0.3 ? 'bottom-[30px]' : 'top-[30px]'}`}
      >
        <span className="bg-water px-1 text-quiet">{name}</span>
        <br />
        <span className="figures bg-water px-1 text-[14px] font-semibold">{text}</span>
      </p>
      <div
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          dragging.current = true;
          onBegin();
        }}
        onPointerMove={drag}
        onPointerUp={() => stop(false)}
        onPointerCancel={() => stop(true)}
        role="slider"
        tabIndex={0}
        aria-label={name}
        aria-valuemin={0}
        aria-valuemax={most}
        aria-valuenow={Math.round(value.speed * 10) / 10}
        aria-valuetext={text}
        title={`${name}: drag, or arrow keys`}
        onKeyDown={press}
        data-grip={name}
        className="absolute size-11 cursor-grab touch-none active:cursor-grabbing"
        style={{
          left: Math.sin(angle) * reach - 22,
          top: -Math.cos(angle) * reach - 22,
        }}
      >
        <span className="absolute inset-[13px] rounded-full border-2 border-ink bg-paper" />
      </div>
    </div>
  );
}
