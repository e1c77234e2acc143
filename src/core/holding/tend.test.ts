import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import {
  groundAt,
  LINE,
  linesOf,
  lineTension,
  lyingLength,
  MADE,
  ropeFigures,
  SPAN_COLUMNS,
  tendLines,
  type LineSpec,
} from './';

const ROPE = ropeFigures('polyester', 14, 0.6);

/** One line of 14 mm polyester from midships to 10 m east, its row changed by hand, tended for `dt` seconds. */
function tended(
  change: (row: Float64Array) => void,
  tension: number,
  dt = 0.1,
  more: Partial<LineSpec> = {},
): Float64Array {
  const lines = linesOf(
    [
      {
        boatX: 0,
        boatY: 0,
        shoreX: 10,
        shoreY: 0,
        rise: 0,
        length: 9.5,
        total: 20,
        ...ROPE,
        ...more,
      },
    ],
    true,
  );
  const rows = lines.rows.slice();
  change(rows);
  const tensions = Float64Array.from([tension]);
  tendLines(rows, lines, tensions, [groundAt(0, 0, 0)], new Float64Array(SPAN_COLUMNS), dt);
  return rows;
}

const carried = (row: Float64Array) =>
  lineTension(ROPE.stiffness, row[LINE.LENGTH]!, 0, 10, 0, ROPE.stiffening);

describe('tending a line', () => {
  it('leaves a fast line as it is, however it is loaded below what parts it', () => {
    const row = tended(() => undefined, 0.9 * ROPE.breaks);
    expect(row[LINE.LENGTH]).toBe(9.5);
    expect(row[LINE.MADE]).toBe(MADE.FAST);
  });

  it('parts it above', () => {
    const row = tended(() => undefined, 1.01 * ROPE.breaks);
    expect(row[LINE.MADE]).toBe(MADE.PARTED);
    expect(row[LINE.HOLD]).toBe(0);
  });

  it('lets one that is held by less surge until it carries just that', () => {
    const any = between(50, 3000);
    fc.assert(
      fc.property(any, (hold) => {
        const row = tended((r) => {
          r[LINE.HOLD] = hold;
          r[LINE.MADE] = MADE.TURNED;
        }, hold);
        expect(carried(row) / hold).toBeCloseTo(1, 6);
        expect(row[LINE.LENGTH]!).toBeGreaterThan(9.5);
      }),
    );
  });

  it('brings it up at its own end, and there it holds', () => {
    const held = (r: Float64Array) => {
      r[LINE.HOLD] = 300;
      r[LINE.MADE] = MADE.HELD;
    };
    const row = tended(held, 300, 0.1, { total: 9.6 });
    expect(row[LINE.LENGTH]).toBe(9.6);
    expect(row[LINE.HOLD]).toBe(Infinity);
    expect(row[LINE.MADE]).toBe(MADE.FAST);
  });

  it('takes slack in at the full speed, and never past its pull', () => {
    const hauled = (length: number, dt: number) =>
      tended(
        (r) => {
          r[LINE.LENGTH] = length;
          r[LINE.HOLD] = 400;
          r[LINE.MADE] = MADE.HELD;
          r[LINE.HAUL] = 0.6;
          r[LINE.PULL] = 300;
        },
        0,
        dt,
      );
    expect(hauled(14, 0.1)[LINE.LENGTH]).toBeCloseTo(13.94, 9);
    fc.assert(
      fc.property(between(9.97, 16), between(0.001, 30), (length, dt) => {
        expect(carried(hauled(length, dt))).toBeLessThanOrEqual(300 * (1 + 1e-9));
      }),
    );
  });

  it('eases to the length asked for and no further, nor past all there is', () => {
    const eased = (until: number, dt: number) =>
      tended(
        (r) => {
          r[LINE.HAUL] = -0.4;
          r[LINE.UNTIL] = until;
        },
        0,
        dt,
      )[LINE.LENGTH];
    expect(eased(12, 1)).toBeCloseTo(9.9, 9);
    expect(eased(12, 60)).toBe(12);
    expect(eased(40, 600)).toBe(20);
    expect(eased(8, 60)).toBe(9.5);
  });

  it('brings one in the water home, and then it is no longer', () => {
    const trailing = (dt: number) =>
      tended(
        (r) => {
          r[LINE.HOLD] = 0;
          r[LINE.MADE] = MADE.TRAILING;
          r[LINE.HAUL] = 1;
        },
        0,
        dt,
      )[LINE.LENGTH];
    expect(trailing(2)).toBeCloseTo(7.5, 9);
    expect(trailing(60)).toBe(0);
  });

  it('does nothing to one that is on nothing', () => {
    const row = tended((r) => {
      r[LINE.HOLD] = 0;
      r[LINE.MADE] = MADE.ABOARD;
      r[LINE.HAUL] = 1;
    }, 0);
    expect(row[LINE.LENGTH]).toBe(9.5);
  });

  it('lets chain that is held by less than what hangs run before it lifts its anchor', () => {
    const weight = 20;
    const [down, reach] = [6, 3];
    const row = tended(
      (r) => {
        r[LINE.EAST] = reach;
        r[LINE.RISE] = -down;
        r[LINE.LENGTH] = down;
        r[LINE.DRAGGED] = 0;
        r[LINE.HOLD] = 3 * weight;
        r[LINE.MADE] = MADE.TURNED;
      },
      0,
      0.1,
      { weight, anchor: 5000, total: 60, breaks: 1e6 },
    );
    expect(row[LINE.LENGTH]).toBeCloseTo(lyingLength(reach, down), 9);
    expect(row[LINE.DRAGGED]).toBe(0);
  });
});
