'use client';
import { scaleLinear } from 'd3-scale';
import type { Lock, LockedBoat, LockState } from '@/core/locks';
import { useUnits } from '../state/preferences';
import { distance } from '../words/units';

const GATE_PX = 7;
/** Over this an air draught is a mast's, m; and a house beside a mast stands so high. Drawing only. */
const LOW_M = 4;
const HOUSE_M = 1.9;

/** A boat in a section. */
export interface InSection {
  readonly boat: LockedBoat;
  /** Level of the water the boat floats on, m. */
  readonly level: number;
  /** Hung up on something. */
  readonly hurt: boolean;
  readonly name: string;
}

/** A chamber as it stands now. */
export interface Chamber {
  readonly lock: Lock;
  readonly state: LockState;
  readonly coping: number;
}

/** Chambers one above the other, the lowest first, each with how far up-stream its lower gates stand, m. */
function placed(chambers: readonly Chamber[]) {
  let from = 0;
  return chambers.map((chamber, i) => {
    const at = from;
    from += chamber.lock.length;
    return { ...chamber, at, end: from, top: i === chambers.length - 1 };
  });
}

/**
 * A lock cut lengthways, or the chambers of a staircase from the lowest up: levels, cills, gates, paddles and boats, as they
 * are now. Up-stream lies to the right; boats are told from the lowest chamber's upper gates.
 */
export function LockSection({
  chambers,
  boats,
  width: WIDTH = 700,
  height: HEIGHT = 300,
}: {
  chambers: readonly Chamber[];
  boats: readonly InSection[];
  /** Drawn for so many pixels. */
  width?: number;
  height?: number;
}) {
  const units = useUnits();
  const stairs = placed(chambers);
  const bottom = stairs[0]!;
  const top = stairs.at(-1)!;
  const length = top.end;
  const aside = Math.max(6, length * (stairs.length > 1 ? 0.18 : 0.28));
  const x = scaleLinear([-aside, length + aside], [0, WIDTH]);
  const beds = stairs.flatMap(({ lock }) => [lock.floor, lock.lowerCill, lock.upperCill]);
  const low = Math.min(...beds) - 0.6;
  const masts = boats.map(({ boat, level }) => level + Math.min(LOW_M, boat.airDraught));
  const copings = stairs.map(({ coping }) => coping);
  const high = Math.max(...copings, top.lock.upper.level, ...masts) + 0.7;
  const y = scaleLinear([low, high], [HEIGHT, 0]);
  const base = y(low);
  // Distances in the chamber are told from the upper gates; here they run from the lower ones.
  const lefts = (boat: LockedBoat) => bottom.lock.length - boat.fromUpper - boat.length;
  const taller = (y(0) - y(1)) / (x(1) - x(0));
  const water = (key: string, from: number, to: number, level: number) => (
    <rect
      key={key}
      x={x(from)}
      y={y(level)}
      width={x(to) - x(from)}
      height={base - y(level)}
      className="fill-water"
    />
  );
  const label = (key: string, at: number, level: number) => (
    <text
      key={key}
      x={x(at)}
      y={y(level) + 15}
      textAnchor="middle"
      className="figures fill-ink stroke-water text-[12.5px]"
      strokeWidth="4"
      paintOrder="stroke"
    >
      {distance(level, units)}
    </text>
  );
  const bed = stairs.map(
    ({ lock, end }) =>
      `V${y(lock.floor)} H${x(end - lock.cillReach)} V${y(lock.upperCill)} H${x(end)}`,
  );
  const levels = stairs.map(({ state }) => distance(state.chamber, units));
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full border border-hairline bg-paper"
        role="img"
        aria-label={`Section: ${stairs.length > 1 ? 'chambers, from the lowest up,' : 'chamber'} at ${levels.join(' and ')}, above ${distance(top.state.upper, units)}, below ${distance(bottom.state.lower, units)}`}
      >
        {water('below', -aside, 0, bottom.state.lower)}
        {stairs.map(({ state, at, end }) => water(`in ${at}`, at, end, state.chamber))}
        {water('above', length, length + aside, top.state.upper)}
        <path
          d={`M0 ${base} L0 ${y(bottom.lock.lowerCill)} H${x(0)} ${bed.join(' ')} H${WIDTH} V${base} Z`}
          className="fill-land stroke-ink"
          strokeWidth="1.2"
        />
        {boats.map(({ boat, level, hurt, name }) => (
          <g key={name} data-boat={name} data-left={lefts(boat).toFixed(1)}>
            <Hull boat={boat} left={lefts(boat)} level={level} x={x} y={y} hurt={hurt} />
          </g>
        ))}
        {stairs.flatMap((chamber, i) => {
          const under = stairs[i - 1];
          const { lock, state, coping, at, end } = chamber;
          // Gates between two chambers are the lower ones of the upper.
          const gates = [
            <Gate
              key={`lower ${at}`}
              lock={lock}
              state={state}
              end="lower"
              at={at}
              coping={Math.max(coping, under?.coping ?? coping)}
              x={x}
              y={y}
            />,
          ];
          if (chamber.top)
            gates.push(
              <Gate
                key="upper"
                lock={lock}
                state={state}
                end="upper"
                at={end}
                coping={coping}
                x={x}
                y={y}
              />,
            );
          return gates;
        })}
        {stairs.map(({ coping, at, end }) => (
          <line
            key={at}
            x1={x(at)}
            x2={x(end)}
            y1={y(coping)}
            y2={y(coping)}
            className="stroke-ink"
            strokeWidth="1.4"
          />
        ))}
        {label('below', -aside / 2, bottom.state.lower)}
        {stairs.map(({ lock, state, at }) =>
          label(`in ${at}`, at + lock.length * (stairs.length > 1 ? 0.16 : 0.1), state.chamber),
        )}
        {label('above', length + aside / 2, top.state.upper)}
        <text x={8} y={16} className="fill-quiet text-[12px]">
          below
        </text>
        <text x={WIDTH - 8} y={16} textAnchor="end" className="fill-quiet text-[12px]">
          above
        </text>
      </svg>
      {taller > 1.2 && (
        <figcaption className="text-[12px] text-quiet">
          heights drawn {taller.toFixed(1)} times as large as lengths
        </figcaption>
      )}
    </figure>
  );
}

/** The gates of one end and the paddles there: dark when shut, paddles as high as they are wound. */
function Gate({
  lock,
  state,
  end,
  at,
  coping,
  x,
  y,
}: {
  lock: Lock;
  state: LockState;
  end: 'lower' | 'upper';
  at: number;
  coping: number;
  x: (m: number) => number;
  y: (m: number) => number;
}) {
  const shut = 1 - state.gates[end];
  const cill = end === 'lower' ? lock.lowerCill : lock.upperCill;
  return (
    <g>
      <rect
        x={x(at) - GATE_PX / 2}
        y={y(coping)}
        width={GATE_PX}
        height={y(cill) - y(coping)}
        className="fill-ink"
        opacity={0.12 + 0.88 * shut}
      />
      {lock.paddles.map((paddle, i) =>
        paddle.end === end ? (
          <rect
            key={paddle.name}
            x={x(at) - 16 + 10 * (i % 2) + (end === 'lower' ? 0 : 12)}
            y={y(cill) - 4 - 22 * state.open[i]!}
            width={6}
            height={4 + 22 * state.open[i]!}
            className={state.open[i]! > 0 ? 'fill-plan' : 'fill-quiet'}
          >
            <title>{paddle.name}</title>
          </rect>
        ) : null,
      )}
    </g>
  );
}

/** The boat in section: its hull at its draught, deeper at the stern, and how high it stands. */
function Hull({
  boat,
  left,
  level,
  x,
  y,
  hurt,
}: {
  boat: LockedBoat;
  left: number;
  level: number;
  x: (m: number) => number;
  y: (m: number) => number;
  hurt: boolean;
}) {
  const right = left + boat.length;
  const [bow, stern] = boat.bowUp ? [right, left] : [left, right];
  const in_ = boat.bowUp ? -1 : 1;
  const deck = level + Math.min(1.2, boat.airDraught * 0.5);
  // A mast is a line; what stands lower is a house.
  const masted = boat.airDraught > LOW_M;
  const house = level + (masted ? HOUSE_M : boat.airDraught);
  const mast = stern - in_ * boat.length * 0.55;
  const points: [number, number][] = [
    [bow, deck + 0.15],
    [bow + in_ * boat.length * 0.1, level - boat.draught],
    [stern - in_ * boat.length * 0.08, level - boat.sternDraught],
    [stern, level - boat.sternDraught * 0.6],
    [stern, deck],
    [stern - in_ * boat.length * 0.25, deck],
    [stern - in_ * boat.length * 0.28, house],
    [stern - in_ * boat.length * 0.55, house],
    [stern - in_ * boat.length * 0.6, deck],
  ];
  return (
    <>
      {masted && (
        <line
          x1={x(mast)}
          x2={x(mast)}
          y1={y(deck)}
          y2={y(level + boat.airDraught)}
          className="stroke-ink"
          strokeWidth="1.6"
        />
      )}
      <path
        d={`M${points.map(([a, b]) => `${x(a)} ${y(b)}`).join('L')}Z`}
        className={hurt ? 'fill-hurt-fill stroke-hurt' : 'fill-paper stroke-ink'}
        strokeWidth={hurt ? 2.4 : 1.4}
        strokeLinejoin="round"
      />
    </>
  );
}
