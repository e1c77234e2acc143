'use client';
import { ON_FENDER } from '@/core/policy';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import type { RunSummary } from '@/document';
import { touchSpeed } from '../words/units';
import type { ListedRun } from './use-runs';

const WIDTH = 300;
const HEIGHT = 84;
const FOOT = 14;
const LEFT = 4;
/** A touch that is no more than this is soft on a fender: a line to see the others by. */
const SOFT_MPS = ON_FENDER.firm;

const hardest = ({ touches }: RunSummary) =>
  touches.reduce((most, { speed_mps }) => Math.max(most, speed_mps), 0);

const good = ({ summary }: ListedRun) => summary?.outcome === 'reached';

/** How many of the last takes in a row got there. */
export function runOf(runs: readonly ListedRun[]): number {
  const lastBad = runs.findLastIndex((run) => !good(run));
  return runs.length - 1 - lastBad;
}

/** Hardest touch of every run, one after the other, and how many in a row have got there. */
export function Progress({ runs }: { runs: readonly ListedRun[] }) {
  const known = runs.flatMap((run, i) =>
    run.summary ? [{ i, run, hard: hardest(run.summary) }] : [],
  );
  if (known.length < 2) return null;
  const most = Math.max(0.4, max(known, ({ hard }) => hard) ?? 0);
  const x = scaleLinear([0, runs.length - 1], [LEFT + 6, WIDTH - 8]);
  const y = scaleLinear([0, most], [HEIGHT - FOOT, 8]);
  const sorted = known.map(({ hard }) => hard).toSorted((a, b) => a - b);
  const at = (share: number) => sorted[Math.round(share * (sorted.length - 1))]!;
  const run = runOf(runs);
  return (
    <section aria-label="Progress" className="rule-t py-2">
      <h2 className="text-[15px] font-semibold">Run by run</h2>
      <p className="text-[13px] text-quiet">
        {run === 0 ? 'The last one did not get there.' : `${run} in a row got there.`} Half of them
        touched no harder than {touchSpeed(at(0.5))}, nine in ten no harder than{' '}
        {touchSpeed(at(0.9))}.
      </p>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full print:w-[90mm]"
        role="img"
        aria-label={`Hardest touch of ${known.length} runs, from ${touchSpeed(sorted[0]!)} to ${touchSpeed(sorted.at(-1)!)}`}
      >
        <line x1={LEFT} x2={WIDTH} y1={y(0)} y2={y(0)} className="stroke-quiet" />
        <line
          x1={LEFT}
          x2={WIDTH}
          y1={y(SOFT_MPS)}
          y2={y(SOFT_MPS)}
          className="stroke-hurt"
          strokeDasharray="5 4"
        />
        <text x={LEFT} y={y(SOFT_MPS) - 3} className="fill-quiet text-[10.5px]">
          {touchSpeed(SOFT_MPS)}
        </text>
        {known.map(({ i, run, hard }) => (
          <g key={run.id}>
            <line x1={x(i)} x2={x(i)} y1={y(0)} y2={y(hard)} className="stroke-ink" />
            {good(run) ? (
              <circle cx={x(i)} cy={y(hard)} r={4} className="fill-plan" />
            ) : (
              <path
                d={`M${x(i) - 4} ${y(hard) - 4} l8 8 m0 -8 l-8 8`}
                className="stroke-hurt"
                strokeWidth={2}
              />
            )}
            <text
              x={x(i)}
              y={HEIGHT - 2}
              textAnchor="middle"
              className="figures fill-quiet text-[10.5px]"
            >
              {i + 1}
            </text>
          </g>
        ))}
      </svg>
    </section>
  );
}
