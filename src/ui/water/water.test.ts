import { currentField } from '@/core/water';
import { numberBoxes, spread } from './StepNumbers';
import { fit, pan, scaleBar, toScreen, zoom } from './camera';
import { boxAround, fixtures, namesThatFit, type Label } from './names';
import { currentArrows } from './current-arrows';

const view = { width: 800, height: 400 };

describe('the camera', () => {
  const camera = fit({ minX: -40, minY: -10, maxX: 40, maxY: 10 }, view, 40);

  it('shows the whole box, north up', () => {
    expect(toScreen(camera, view, -40, 10)).toEqual([40, 110]);
    expect(toScreen(camera, view, 40, -10)).toEqual([760, 290]);
  });

  it('moves with the hand and zooms about the pointer', () => {
    const [x, y] = toScreen(pan(camera, 30, -20), view, 5, 5);
    const [x0, y0] = toScreen(camera, view, 5, 5);
    expect([x - x0, y - y0].map(Math.round)).toEqual([30, -20]);
    const closer = zoom(camera, view, 2, x0, y0);
    expect(closer.scale).toBe(camera.scale * 2);
    expect(toScreen(closer, view, 5, 5).map(Math.round)).toEqual([x0, y0].map(Math.round));
    expect(zoom(camera, view, 1e9, 0, 0).scale).toBeLessThanOrEqual(80);
  });

  it('keeps a scale bar round and within its room', () => {
    for (const scale of [0.7, 3, 9, 40]) {
      const { length, px } = scaleBar(scale, 150, 1);
      expect(px).toBeLessThanOrEqual(150);
      expect(['1', '2', '5']).toContain(String(length)[0]);
    }
  });
});

it('moves step numbers apart when they would cover one another', () => {
  const points: [number, number][] = [
    [100, 100],
    [101, 100],
    [102, 103],
    [300, 50],
  ];
  const placed = spread(points);
  expect(placed[0]).toEqual([100, 100]);
  expect(placed[3]).toEqual([300, 50]);
  placed.forEach(([x, y], i) =>
    placed.forEach(([u, v], k) => {
      if (i < k) expect(Math.hypot(x - u, y - v)).toBeGreaterThanOrEqual(23.9);
    }),
  );
});

describe('names on the water', () => {
  const label = (name: string, x: number, y: number, needed = false): Label => {
    return { id: name, name, x, y, needed };
  };
  const covered = (labels: readonly Label[]) =>
    labels.some((a, i) =>
      labels.some(
        (b, j) =>
          j > i &&
          Math.abs(a.y - b.y) < 14 &&
          Math.abs(a.x - b.x) < 2.9 * (a.name.length + b.name.length),
      ),
    );

  it('cover neither one another nor what stands on the water', () => {
    const crowd = Array.from({ length: 40 }, (_, i) =>
      label(`boat number ${i}`, 300 + 17 * (i % 8), 150 + 9 * Math.floor(i / 8)),
    );
    const shown = namesThatFit(crowd, fixtures(view));
    expect(shown.length).toBeGreaterThan(3);
    expect(shown.length).toBeLessThan(40);
    expect(covered(shown)).toBe(false);
    expect(namesThatFit([label('under the zoom keys', 780, 50)], fixtures(view))).toEqual([]);
  });

  it('step aside when there is room, and stay where they are when nothing is in the way', () => {
    const tag = boxAround(300, 100, 80, 18);
    const [moved] = namesThatFit([label('ketch', 300, 100)], [tag]);
    expect(Math.abs(moved!.y - 100)).toBeGreaterThanOrEqual(14);
    expect(namesThatFit([label('ketch', 300, 160)], [tag])).toEqual([label('ketch', 300, 160)]);
  });

  it('needed for a cue are shown first and always', () => {
    const shown = namesThatFit(
      [label('a', 300, 100), label('pile 4', 300, 100, true)],
      [boxAround(300, 100, 200, 200)],
    );
    expect(shown.map(({ name }) => name)).toEqual(['pile 4']);
  });
});

describe('strokes of the current', () => {
  const around = { originX: 0, originY: 0, minX: -100, minY: -50, maxX: 100, maxY: 50 };
  const even = { shear: 0, banks: [], bankWidth: 0, structures: [], strength: null, ...around };
  const camera = { x: 0, y: 0, scale: 4, up: 0 };

  it('go the way the water goes, up being north, as long as it is strong', () => {
    // To the north-east, twice as strong to the right of the set as in the middle.
    const field = currentField(0.6, 0.6, { ...even, shear: 0.02 });
    const arrows = currentArrows(field, camera, view, 0);
    expect(arrows.length).toBeGreaterThan(20);
    for (const { dx, dy } of arrows) expect(dx).toBeCloseTo(-dy, 9);
    const length = (x: number, y: number) => {
      const near = arrows.toSorted(
        (a, b) => Math.hypot(a.x - x, a.y - y) - Math.hypot(b.x - x, b.y - y),
      )[0]!;
      return Math.hypot(near.dx, near.dy);
    };
    expect(length(700, 350)).toBeGreaterThan(1.3 * length(400, 200));
  });

  it('stay where they are on the ground as the view is moved', () => {
    const field = currentField(0.5, 0, even);
    const here = currentArrows(field, camera, view, 0).map(({ x, y }) => `${x} ${y}`);
    const moved = currentArrows(field, pan(camera, 8, 0), view, 0).map(
      ({ x, y }) => `${x - 8} ${y}`,
    );
    expect(moved.filter((at) => here.includes(at)).length).toBeGreaterThan(0.8 * here.length);
  });

  it('are none where nothing runs: slack water, or behind a structure', () => {
    expect(currentArrows(currentField(0, 0, even), camera, view, 0)).toEqual([]);
    const box = Float64Array.from([-40, -40, 40, -40, 40, 40, -40, 40]);
    const behind = currentField(0.5, 0, { ...even, structures: [box] });
    const inside = currentArrows(behind, camera, view, 0).filter(
      ({ x, y }) => Math.abs(x - 400) < 120 && Math.abs(y - 200) < 120,
    );
    expect(inside).toEqual([]);
  });
});

it('names give way to the numbers of the steps and to that of the end', () => {
  const run = {
    trace: { x: Float64Array.of(0, 30), y: Float64Array.of(0, 0) },
    steps: [
      { step: 0, time: 0, x: 0, y: 0, heading: 0 },
      { step: 1, time: 5, x: 0, y: 0, heading: 0 },
    ],
  };
  const steps = [{ id: 'a' }, { id: 'b' }];
  const camera = fit({ minX: -40, minY: -10, maxX: 40, maxY: 10 }, view, 40);
  const boxes = numberBoxes(run as never, steps as never, camera, view);
  expect(boxes).toHaveLength(3);
  // Two that begin in one place are shown, and kept free, beside one another.
  const apart = Math.hypot(boxes[0]!.left - boxes[1]!.left, boxes[0]!.top - boxes[1]!.top);
  expect(apart).toBeGreaterThanOrEqual(24);
});
