'use client';
import { degrees } from '@/document';
import { useUnits } from '../state/preferences';
import { compassPoint, windSpeed } from '../words/units';
import { useHelmPreferences } from './preferences';
import { useLiveState } from './use-live';

/** Wind at which the flag stands out straight, m/s. */
const STANDS_OUT_MPS = 9;
const LONG_PX = 46;

/**
 * A flag as it would be seen ashore, and how hard it blows for those who want to be told.
 *
 * @param up degrees that point up the screen
 */
export function WindFlag({ up }: { up: number }) {
  const units = useUnits();
  const told = useHelmPreferences((p) => p.aids.wind);
  const wind = useLiveState((s) => s.now?.wind);
  if (!wind) return null;
  const from = degrees(wind.from);
  const share = Math.min(1, wind.speed / STANDS_OUT_MPS);
  const long = 10 + (LONG_PX - 10) * share;
  return (
    <div
      className="pointer-events-none absolute left-4 top-4 text-ink"
      role="img"
      aria-label={`Flag: wind from ${compassPoint(from)}`}
    >
      <svg width="100" height="100" viewBox="-50 -50 100 100" aria-hidden>
        <circle r="2.6" fill="currentColor" />
        {/* It flies from its staff the way the air goes. */}
        <g transform={`rotate(${from + 180 - up})`}>
          <path
            d={`M-1 0 L-7 ${-long * 0.5} L-4 ${-long} L5 ${-long * 0.92} L4 ${-long * 0.45} L1 0 Z`}
            fill="none"
            stroke="currentColor"
            strokeWidth="1.6"
            strokeLinejoin="round"
          />
        </g>
      </svg>
      {told && (
        <p className="on-water figures -mt-1 text-[14px]">
          {compassPoint(from)} {windSpeed(wind.speed, units)}
        </p>
      )}
    </div>
  );
}
