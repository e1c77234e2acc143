import { markedFrom, transitNow, transitsFrom } from './';

const DEG = Math.PI / 180;
const near = { name: 'post', x: 0, y: 20 };
const far = { name: 'spire', x: 0, y: 60 };
const still = { east: 0, north: 0 };

describe('a transit', () => {
  it('is off the line by the distance from it, to the right of it positive, whichever way it runs', () => {
    for (const turn of [0, 40, 90, 200, 331]) {
      const [s, c] = [Math.sin(turn * DEG), Math.cos(turn * DEG)];
      const turned = ({ x, y }: { x: number; y: number }) => ({
        x: x * c + y * s,
        y: y * c - x * s,
      });
      const held = {
        near: { name: 'post', ...turned(near) },
        far: { name: 'spire', ...turned(far) },
      };
      const way = turned({ x: 0.4, y: 0.7 });
      const at = transitNow(held, turned({ x: 3, y: -5 }), { east: way.x, north: way.y });
      expect(at.off).toBeCloseTo(3, 9);
      expect(at.rate).toBeCloseTo(0.4, 9);
      // To the right of the line the far one is open to the right of the near one.
      expect(at.open).toBeCloseTo(Math.atan2(-3, 65) - Math.atan2(-3, 25), 9);
      expect(at.open).toBeGreaterThan(0);
    }
    expect(transitNow({ near, far }, { x: 0, y: -8 }, still)).toEqual({ off: 0, rate: 0, open: 0 });
  });

  it('is taken from what is in line near the bow or abeam, and never from what is on the quarter', () => {
    const abeam = [
      { name: 'bollard', x: 15, y: 0.2 },
      { name: 'shed', x: 50, y: 0 },
    ];
    const behind = [
      { name: 'pile', x: -10, y: -10 },
      { name: 'tower', x: -40, y: -40 },
    ];
    const her = { x: 0, y: 0, heading: 0 };
    const found = transitsFrom([far, near, ...abeam, ...behind], her);
    expect(found.map((one) => `${one.far.name} over ${one.near.name}`)).toEqual([
      'spire over post',
      'shed over bollard',
    ]);
    // The other way round the quarter is ahead of the boat.
    const round = transitsFrom([far, near, ...abeam, ...behind], { ...her, heading: 225 * DEG });
    expect(round[0]).toMatchObject({ near: { name: 'pile' }, far: { name: 'tower' } });
  });

  it('is not made of two so close together, or so far off, that nobody would see it open', () => {
    const her = { x: 0, y: 0, heading: 0 };
    const close = { name: 'beside the post', x: 0, y: 20.4 };
    expect(transitsFrom([near, close], her)).toEqual([]);
    const away = [300, 340].map((y) => ({ name: `at ${y}`, x: 0, y }));
    expect(transitsFrom(away, her)).toEqual([]);
    expect(transitsFrom([near, { ...far, x: 20 }], her)).toEqual([]);
  });
});

it('a transit the place is marked with is offered from before it, not from behind or beyond', () => {
  const marked = [{ near: { name: 'lamp', x: 0, y: 100 }, far: { name: 'post', x: 0, y: 160 } }];
  const from = (x: number, y: number, heading: number) => markedFrom(marked, { x, y, heading });
  expect(from(3, 0, 0)).toEqual(marked);
  expect(from(3, 0, Math.PI)).toEqual([]);
  expect(from(3, 200, Math.PI)).toEqual([]);
  expect(from(3, 130, 0)).toEqual([]);
  // So far to one side the two stand wide open.
  expect(from(40, 80, -0.8)).toEqual([]);
});
