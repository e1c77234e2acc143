import { Random } from '../math';
import { leastFrom, spreadOut } from './front';
import { gridOver, NO_WAY_S, sharesInto, type Grid } from './grid';
import type { OnGrid, Steps } from './moves';

const HEADINGS = 4;
const REACH = { port: 12, starboard: 12, astern: 12, ahead: 12 };

/** A move one place along, in so many seconds, and whether the boat goes the other way after it. */
interface Along {
  readonly columns: number;
  readonly rows: number;
  readonly turns: number;
  readonly seconds: number;
  readonly shunts?: boolean;
}

/** The same moves from every heading, ahead and astern. */
function moving(grid: Grid, moves: readonly Along[]): OnGrid {
  const { columns, headings } = grid;
  const from = (heading: number, astern: number): Steps => {
    const along = new Int32Array(8 * moves.length);
    const shares = new Float64Array(8 * moves.length);
    const nearest = new Int32Array(moves.length);
    moves.forEach((move, m) => {
      const i = Math.floor(move.columns);
      const j = Math.floor(move.rows);
      sharesInto(shares.subarray(8 * m), move.columns - i, move.rows - j, 0);
      const way = move.shunts ? 1 - astern : astern;
      for (let n = 0; n < 8; n++) {
        const turned = (heading + move.turns + (n & 1) + headings) % headings;
        const place = (j + ((n >> 2) & 1)) * columns + i + ((n >> 1) & 1);
        along[8 * m + n] = 2 * (place * headings + turned - heading) + way - astern;
      }
      nearest[m] = along[8 * m]!;
    });
    return { seconds: Float64Array.from(moves, ({ seconds }) => seconds), along, shares, nearest };
  };
  return {
    steps: Array.from({ length: headings }, (_, h) => [from(h, 0), from(h, 1)] as const),
    furthest: 2,
  };
}

const ALL_ROUND: Along[] = [
  { columns: 1, rows: 0, turns: 0, seconds: 2 },
  { columns: -1, rows: 0, turns: 0, seconds: 2 },
  { columns: 0, rows: 1, turns: 0, seconds: 2 },
  { columns: 0, rows: -1, turns: 0, seconds: 2 },
  { columns: 0, rows: 0, turns: 1, seconds: 5 },
  { columns: 0, rows: 0, turns: 0, seconds: 7, shunts: true },
];

function found(moves: readonly Along[], shut: (i: number, j: number) => boolean) {
  const grid = gridOver(REACH, 1, HEADINGS);
  const { columns, rows, seconds } = grid;
  const prices = new Float32Array(columns * rows * HEADINGS).fill(1);
  const at = (i: number, j: number, h = 0, astern = 0) =>
    2 * ((j * columns + i) * HEADINGS + h) + astern;
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++)
      if (shut(i, j))
        prices.fill(-1, (j * columns + i) * HEADINGS, (j * columns + i + 1) * HEADINGS);
  seconds[at(12, 12)] = 0;
  const onGrid = moving(grid, moves);
  spreadOut(grid, onGrid, prices);
  return { grid, onGrid, prices, at };
}

describe('time to a goal, spread out from it', () => {
  it('is that of the shortest way by the moves there are, turns and shunts with them', () => {
    const { grid, at } = found(ALL_ROUND, () => false);
    expect(grid.seconds[at(17, 12)]).toBeCloseTo(10, 3);
    expect(grid.seconds[at(17, 15)]).toBeCloseTo(16, 3);
    expect(grid.seconds[at(17, 12, 3)]).toBeCloseTo(15, 3);
    expect(grid.seconds[at(17, 12, 0, 1)]).toBeCloseTo(17, 3);
  });

  it('goes round what is shut off', () => {
    const { grid, at } = found(ALL_ROUND, (i, j) => i === 15 && j > 8);
    expect(grid.seconds[at(17, 12)]).toBeCloseTo(10 + 2 * 2 * 4, 3);
    expect(grid.seconds[at(15, 12)]).toBe(NO_WAY_S);
  });

  it('leaves no place that one of its moves would bring nearer', () => {
    const random = new Random(9);
    const moves = Array.from({ length: 7 }, () => ({
      columns: 3 * random.uniform() - 1.5,
      rows: 3 * random.uniform() - 1.5,
      turns: Math.floor(3 * random.uniform()) - 1,
      seconds: 1 + 4 * random.uniform(),
      shunts: random.uniform() < 0.2,
    }));
    const { grid, onGrid, prices } = found(
      [...ALL_ROUND, ...moves],
      (i, j) => (3 * i + j) % 11 === 0,
    );
    const { columns, rows, seconds } = grid;
    let known = 0;
    for (let j = 2; j < rows - 2; j++)
      for (let i = 2; i < columns - 2; i++)
        for (let n = 0; n < 2 * HEADINGS; n++) {
          const from = 2 * (j * columns + i) * HEADINGS + n;
          if (prices[from >> 1]! < 0) continue;
          const now = seconds[from]!;
          const steps = onGrid.steps[n >> 1]![n & 1]!;
          expect(leastFrom(seconds, from, steps, prices[from >> 1]!, now)).toBeGreaterThan(
            now - 0.31,
          );
          if (now < NO_WAY_S) known++;
        }
    expect(known).toBeGreaterThan(1000);
  });
});
