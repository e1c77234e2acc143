'use client';
import { usePreferences, type Up } from '../state/preferences';
import { IconButton } from '../parts/IconButton';
import { useUpWays } from './use-up';

const WORDS: Readonly<Record<Up, string>> = {
  north: 'North is up',
  boat: 'The bow is up, and the view goes with it',
  berth: 'The way the boat is to lie is up',
};

/** Shows where north is; pressed, it turns the plan another way up. */
export function UpButton({ up }: { up: number }) {
  const ways = useUpWays();
  const wanted = usePreferences((p) => p.up);
  const setUp = usePreferences((p) => p.setUp);
  const at = Math.max(0, ways.indexOf(wanted));
  const next = ways[(at + 1) % ways.length]!;
  return (
    <IconButton
      label={`${WORDS[ways[at]!]}. Change to: ${WORDS[next].toLowerCase()}`}
      onClick={() => setUp(next)}
    >
      <svg width="26" height="26" viewBox="-13 -13 26 26" aria-hidden>
        <g transform={`rotate(${(-up * 180) / Math.PI})`}>
          <path d="M0 -3 V11" stroke="currentColor" strokeWidth="1.4" />
          <path d="M-3 1 L0 -3 L3 1" fill="none" stroke="currentColor" strokeWidth="1.4" />
          <text y="-4.5" textAnchor="middle" className="fill-current text-[9px] font-semibold">
            N
          </text>
        </g>
      </svg>
    </IconButton>
  );
}
