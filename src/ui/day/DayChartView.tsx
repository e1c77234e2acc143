'use client';
import { DateTime } from 'luxon';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Day } from '@/document';
import { LEAST_UNDER_M, WIND_DRAWN_MPS, CURRENT_DRAWN_MPS } from '@/core/policy';
import { withinLimits, type DayRun } from '@/planner';
import { useUnits } from '../state/preferences';
import { lengthIn, speedIn } from '../words/units';
import { outcomeWord } from '../words/outcome-heads';
import { dayChart, HEIGHT, LEFT, RIGHT, ROWS, WIDTH } from './day-chart';

const KEY_STEP_S = 900;
const HOUR_S = 3600;
const KEYS: Readonly<Record<string, number>> = {
  ArrowLeft: -KEY_STEP_S,
  ArrowDown: -KEY_STEP_S,
  ArrowRight: KEY_STEP_S,
  ArrowUp: KEY_STEP_S,
  PageUp: 4 * KEY_STEP_S,
  PageDown: -4 * KEY_STEP_S,
};

export const clockAt = (at: number, zone: string) =>
  DateTime.fromSeconds(at, { zone }).toFormat('HH:mm');

/** Arrow that points where something goes, degrees, about a place on the sheet. */
const Arrow = ({ x, y, to }: { x: number; y: number; to: number }) => (
  <path
    d="M0 -6 L0 6 M-3 -2 L0 -6 L3 -2"
    transform={`translate(${x} ${y}) rotate(${to})`}
    fill="none"
    className="stroke-quiet"
    strokeWidth="1.2"
  />
);

/** Wind, current, level and what is left under and over the boat against the hours of a day; a line takes an hour by hand. */
export function DayChartView({
  day,
  runs,
  moments,
  at,
  onAt,
}: {
  day: Day;
  runs: readonly DayRun[];
  moments: readonly number[];
  at: number;
  onAt: (at: number) => void;
}) {
  const { speed, length } = useUnits();
  const sheet = useRef<SVGSVGElement>(null);
  const { x, y, paths } = dayChart(
    day,
    runs,
    (mps) => speedIn(mps, speed),
    (m) => lengthIn(m, length),
  );
  const held = (moment: number) => Math.max(day.from, Math.min(day.to - KEY_STEP_S, moment));
  const pick = (event: PointerEvent) => {
    const box = sheet.current!.getBoundingClientRect();
    const px = ((event.clientX - box.left) / box.width) * WIDTH;
    onAt(held(Math.round(x.invert(px) / KEY_STEP_S) * KEY_STEP_S));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = KEYS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onAt(held(at + by));
  };
  const hours: number[] = [];
  for (let t = day.from; t <= day.to; t += 2 * HOUR_S) hours.push(t);
  const everyHour = day.hours.filter(
    ({ at: t }) => (t - day.from) % HOUR_S === 0 && t >= day.from && t < day.to,
  );
  const rows = [
    { row: 'wind', words: 'Wind', unit: speed },
    { row: 'current', words: 'Current', unit: speed },
    { row: 'level', words: 'Level', unit: length },
    { row: 'room', words: 'Under the boat', unit: length },
  ] as const;
  const none = {
    wind: paths.wind === '',
    current: paths.current === '',
    level: paths.level === '',
    room: paths.under === '' && paths.over === '',
  };
  const line = x(at);
  return (
    <svg
      ref={sheet}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full touch-none select-none"
      role="group"
      aria-label="The day"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        pick(event);
      }}
      onPointerMove={(event) => event.buttons > 0 && pick(event)}
    >
      {hours.map((t) => (
        <g key={t}>
          <line
            x1={x(t)}
            x2={x(t)}
            y1={20}
            y2={HEIGHT - 6}
            className="stroke-hairline"
            strokeWidth="0.7"
          />
          <text x={x(t)} y={13} textAnchor="middle" className="figures fill-quiet text-[12px]">
            {clockAt(t, day.zone)}
          </text>
        </g>
      ))}
      {rows.map(({ row, words, unit }) => {
        const { top, height } = ROWS[row];
        return (
          <g key={row}>
            <line
              x1={LEFT}
              x2={WIDTH - RIGHT}
              y1={top + height}
              y2={top + height}
              className="stroke-quiet"
              strokeWidth="0.8"
            />
            <text x={0} y={top + 12} className="fill-ink text-[13px] font-semibold">
              {words}
            </text>
            {none[row] ? (
              <text x={LEFT + 8} y={top + height / 2 + 4} className="fill-quiet text-[12.5px]">
                {row === 'room'
                  ? 'no depth and no bridge is known where this is sailed'
                  : 'nobody tells'}
              </text>
            ) : (
              y[row].ticks(3).map((tick) => (
                <text
                  key={tick}
                  x={LEFT - 6}
                  y={y[row](tick) + 4}
                  textAnchor="end"
                  className="figures fill-quiet text-[11.5px]"
                >
                  {tick} {tick === y[row].ticks(3).at(-1) ? unit : ''}
                </text>
              ))
            )}
          </g>
        );
      })}
      {paths.over !== '' && (
        <g>
          <text x={0} y={ROWS.room.top + 30} className="fill-ink text-[13px] font-semibold">
            Over the boat
          </text>
          <line
            x1={0}
            x2={52}
            y1={ROWS.room.top + 37}
            y2={ROWS.room.top + 37}
            className="stroke-ink"
            strokeWidth="1.4"
            strokeDasharray="5 3"
          />
        </g>
      )}
      <path d={paths.gusts} className="fill-sweep" />
      <path d={paths.wind} fill="none" className="stroke-ink" strokeWidth="1.8" />
      <path d={paths.current} fill="none" className="stroke-ink" strokeWidth="1.8" />
      <path d={paths.level} fill="none" className="stroke-ink" strokeWidth="1.8" />
      <path d={paths.under} fill="none" className="stroke-ink" strokeWidth="1.8" />
      <path
        d={paths.over}
        fill="none"
        className="stroke-ink"
        strokeWidth="1.4"
        strokeDasharray="5 3"
      />
      {!none.room && (
        <line
          x1={LEFT}
          x2={WIDTH - RIGHT}
          y1={y.room(lengthIn(LEAST_UNDER_M, length))}
          y2={y.room(lengthIn(LEAST_UNDER_M, length))}
          className="stroke-hurt"
          strokeWidth="1"
          strokeDasharray="2 4"
        />
      )}
      {everyHour.map(({ at: t, wind, current }) => (
        <g key={t}>
          {wind && wind.speed_mps > WIND_DRAWN_MPS && (
            <Arrow x={x(t)} y={ROWS.wind.top + ROWS.wind.height - 9} to={wind.from_deg + 180} />
          )}
          {current && current.speed_mps > CURRENT_DRAWN_MPS && (
            <Arrow x={x(t)} y={ROWS.current.top + 6} to={current.set_deg} />
          )}
        </g>
      ))}
      {day.turns.map(({ at: t, level_m }) => (
        <text
          key={t}
          x={Math.min(WIDTH - RIGHT - 30, Math.max(LEFT + 30, x(t)))}
          y={
            y.level(lengthIn(level_m, length)) +
            (y.level(lengthIn(level_m, length)) > ROWS.level.top + 40 ? -7 : 15)
          }
          textAnchor="middle"
          className="figures fill-quiet stroke-paper text-[12px]"
          strokeWidth="3"
          paintOrder="stroke"
        >
          {lengthIn(level_m, length).toFixed(1)} {clockAt(t, day.zone)}
        </text>
      ))}
      <text x={0} y={ROWS.goes.top + 17} className="fill-ink text-[13px] font-semibold">
        Within limits
      </text>
      {moments.map((t, i) => (
        <Verdict key={t} x={x(t)} run={runs[i] ?? null} />
      ))}
      <g
        role="slider"
        tabIndex={0}
        aria-label="Hour of the day"
        aria-valuemin={day.from}
        aria-valuemax={day.to}
        aria-valuenow={at}
        aria-valuetext={clockAt(at, day.zone)}
        onKeyDown={onKeyDown}
        className="cursor-ew-resize outline-none focus-visible:[&>line]:stroke-[5]"
      >
        <line
          x1={line}
          x2={line}
          y1={18}
          y2={HEIGHT - 4}
          className="stroke-plan"
          strokeWidth="2.5"
        />
        <rect x={line - 24} y={0} width={48} height={19} className="fill-plan" />
        <text
          x={line}
          y={14}
          textAnchor="middle"
          className="figures fill-on-plan text-[13px] font-semibold"
        >
          {clockAt(at, day.zone)}
        </text>
      </g>
    </svg>
  );
}

/** One run: a full bar within limits, a cross where not, a hairline where it has not been played. */
function Verdict({ x, run }: { x: number; run: DayRun | null }) {
  const { top, height } = ROWS.goes;
  if (!run)
    return <rect x={x - 5} y={top + height / 2} width={10} height={1} className="fill-hairline" />;
  const good = withinLimits(run);
  const words = run.outcome ? outcomeWord(run.outcome) : (run.why ?? '');
  return (
    <g>
      <title>{words}</title>
      {good ? (
        <rect x={x - 8.6} y={top + 5} width={17.2} height={height - 10} className="fill-plan" />
      ) : (
        <path d={`M${x - 4} ${top + 9} l8 8 m0 -8 l-8 8`} className="stroke-hurt" strokeWidth="2" />
      )}
    </g>
  );
}
