import { trackPath, waypointMarks } from './trace-drawing';

const view = { width: 800, height: 500 };
const camera = { x: 0, y: 0, scale: 10, up: 0 };
const points = (path: string) => path.match(/[ML]/g)?.length ?? 0;

describe('a track', () => {
  it('is drawn through its points, the last one too', () => {
    expect(
      trackPath(
        [
          [0, 0],
          [10, 0],
          [10, 10],
          [10.01, 10],
        ],
        camera,
        view,
      ),
    ).toBe('M400 250L500 250L500 150L500.1 150');
  });

  it('of very many points is no longer than can be seen', () => {
    const many = Array.from({ length: 60_000 }, (_, i) => [i * 1e-3, 0] as const);
    const near = points(trackPath(many, camera, view));
    expect(near).toBeLessThan(400);
    // Looked at closer, what lies beyond the edges is left out.
    expect(points(trackPath(many, { ...camera, scale: 1000 }, view))).toBeLessThan(500);
  });

  it('that leaves the plan and comes back is two pieces', () => {
    const round = [
      [0, 0],
      [60, 0],
      [60, 5],
      [0, 5],
    ] as const;
    expect(trackPath(round, camera, view).match(/M/g)).toHaveLength(2);
    expect(
      trackPath(
        [
          [900, 0],
          [901, 0],
        ],
        camera,
        view,
      ),
    ).toBe('');
  });

  it('across the plan from beyond it is drawn', () => {
    expect(
      trackPath(
        [
          [-100, 0],
          [100, 0],
        ],
        camera,
        view,
      ),
    ).toBe('M-600 250L1400 250');
  });
});

describe('waypoints', () => {
  it('at one place are one cross, and names keep apart', () => {
    const marks = waypointMarks(
      [
        { name: 'a', at: [0, 0] },
        { name: 'b', at: [0.001, 0] },
        { name: 'c', at: [20, 0] },
        { name: 'far', at: [500, 0] },
      ],
      camera,
      view,
    );
    expect(points(marks.path)).toBe(4);
    expect(marks.names.map(({ name }) => name)).toEqual(['a', 'c']);
  });

  it('by the thousand are as many names as there is room for', () => {
    const many = Array.from({ length: 8000 }, (_, i) => ({
      name: 'pile',
      at: [(i % 90) - 45, Math.floor(i / 90) - 45] as const,
    }));
    expect(waypointMarks(many, camera, view).names.length).toBeLessThan(600);
  });
});
