'use client';
import { useRef } from 'react';
import { MOST_CURRENT_MPS, MOST_WIND_MPS, type Conditions } from '@/document';
import { useUnits } from '../state/preferences';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { Gesture } from '../state/workspace';
import { speedFrom, speedIn, tidy } from '../words/units';
import { currentText, windText } from '../words/weather';
import { Grip, type GripValue } from './Grip';

const WIND_PX_PER_KNOT = 2.8;
const CURRENT_PX_PER_KNOT = 26;
const PX_FROM_MIDDLE = 20;
const MOST_WIND_KN = Math.floor(speedIn(MOST_WIND_MPS, 'kn'));
const MOST_CURRENT_KN = Math.floor(speedIn(MOST_CURRENT_MPS, 'kn'));

/** Three strokes the way the air goes; as long as it is strong. */
function WindStrokes({ bearing, length }: { bearing: number; length: number }) {
  return (
    <svg
      className="pointer-events-none absolute overflow-visible text-ink"
      width="1"
      height="1"
      style={{ transform: `rotate(${bearing}deg)` }}
      aria-hidden
    >
      {[-9, 0, 9].map((x) => (
        <path
          key={x}
          d={`M${x} ${-PX_FROM_MIDDLE - (x === 0 ? length : length * 0.75)} V${12 - Math.abs(x)} m-4 -7 l4 7 l4 -7`}
          fill="none"
          stroke="currentColor"
          strokeWidth="1.6"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}

/** Two ripples running the way the water goes. */
function CurrentStrokes({ bearing, length }: { bearing: number; length: number }) {
  const waves = Math.max(1, Math.round((PX_FROM_MIDDLE + length) / 12));
  const d = (x: number) => `M${x} 8 ${'q4 -3 0 -6 q-4 -3 0 -6 '.repeat(waves)}`;
  return (
    <svg
      className="pointer-events-none absolute overflow-visible text-ink"
      width="1"
      height="1"
      style={{ transform: `rotate(${bearing}deg)` }}
      aria-hidden
    >
      {[-5, 5].map((x) => (
        <path
          key={x}
          d={d(x)}
          fill="none"
          stroke="currentColor"
          strokeWidth="1.6"
          strokeLinecap="round"
        />
      ))}
    </svg>
  );
}

/**
 * Wind and current as grips on the water: drag one and the manoeuvre is played anew while you drag.
 *
 * @param up degrees that point up the screen
 */
export function ConditionGrips({ up }: { up: number }) {
  const store = useWorkspaceStore();
  const conditions = useWorkspace((s) => s.manoeuvre.conditions);
  const units = useUnits();
  const gesture = useRef<Gesture | null>(null);
  const { wind, current } = conditions;
  // Grips work in knots; what is kept is m/s.
  const windKn = speedIn(wind.speed_mps, 'kn');
  const currentKn = speedIn(current.speed_mps, 'kn');

  // Gusts, changes and the like stay what they are.
  const now = () => store.getState().manoeuvre.conditions;
  const begin = () => {
    gesture.current = new Gesture(store);
  };
  const end = (cancelled: boolean) => {
    if (cancelled) gesture.current?.cancel();
    else gesture.current?.end();
    gesture.current = null;
  };
  const change = (part: Partial<Conditions>) =>
    gesture.current?.edit((m) => {
      m.conditions = { ...m.conditions, ...part };
    });
  const metres = (knots: number) => tidy(speedFrom(knots, 'kn'), 4);

  const grip = { onBegin: begin, onEnd: end, up };
  return (
    <>
      <div className="absolute left-[116px] top-[116px]">
        <Grip
          {...grip}
          name="Wind"
          value={{ bearing: wind.from_deg, speed: windKn }}
          speedStep={1}
          most={MOST_WIND_KN}
          pxPerSpeed={WIND_PX_PER_KNOT}
          text={windText(wind, units)}
          onChange={({ bearing, speed: kn }: GripValue) =>
            change({ wind: { ...now().wind, from_deg: bearing, speed_mps: metres(kn) } })
          }
        >
          <WindStrokes bearing={wind.from_deg - up} length={windKn * WIND_PX_PER_KNOT} />
        </Grip>
      </div>
      <div className="absolute bottom-[88px] right-[92px]">
        <Grip
          {...grip}
          name="Current"
          value={{ bearing: current.set_deg, speed: currentKn }}
          speedStep={0.1}
          most={MOST_CURRENT_KN}
          pxPerSpeed={CURRENT_PX_PER_KNOT}
          text={currentText(current, units)}
          onChange={({ bearing, speed: kn }: GripValue) =>
            change({ current: { ...now().current, set_deg: bearing, speed_mps: metres(kn) } })
          }
        >
          <CurrentStrokes bearing={current.set_deg - up} length={currentKn * CURRENT_PX_PER_KNOT} />
        </Grip>
      </div>
    </>
  );
}
