'use client';
import { degrees } from '@/document';
import { useLiveState } from './use-live';

/** Wind that just ruffles the water, and at which it is as rough as is drawn, m/s. */
const RUFFLES_MPS = 1;
const ROUGH_MPS = 12;
/** Turned no finer than this, so that the pattern is not drawn anew with every flaw of the wind. */
const TURN_DEG = 5;

/**
 * Ripples across the wind, the closer and darker the harder it blows: what the water says of it.
 *
 * @param up degrees that point up the screen
 */
export function Ripples({ up }: { up: number }) {
  const from = useLiveState((s) =>
    s.now ? TURN_DEG * Math.round(degrees(s.now.wind.from) / TURN_DEG) : 0,
  );
  const rough = useLiveState((s) => {
    const speed = s.now?.wind.speed ?? 0;
    const share = (speed - RUFFLES_MPS) / (ROUGH_MPS - RUFFLES_MPS);
    return Math.round(10 * Math.max(0, Math.min(1, share))) / 10;
  });
  if (rough === 0) return null;
  const apart = 46 - 20 * rough;
  return (
    <svg className="pointer-events-none absolute inset-0 size-full text-ink" aria-hidden>
      <defs>
        <pattern
          id="ripples"
          width={1.6 * apart}
          height={apart}
          patternUnits="userSpaceOnUse"
          patternTransform={`rotate(${from - up})`}
        >
          {[0.1, 0.9].map((across, i) => (
            <path
              key={across}
              d={`M${across * 0.8 * apart} ${(0.25 + 0.5 * i) * apart} q4 ${-2 - 2 * rough} 8 0 q4 ${2 + 2 * rough} 8 0`}
              fill="none"
              stroke="currentColor"
              strokeWidth="1"
              opacity={0.1 + 0.14 * rough}
            />
          ))}
        </pattern>
      </defs>
      <rect width="100%" height="100%" fill="url(#ripples)" />
    </svg>
  );
}
