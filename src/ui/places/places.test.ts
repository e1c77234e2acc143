import { check, placeSchema, usualLock, type Place } from '@/document';
import {
  cornersOf,
  freeName,
  gistOf,
  withCornerAfter,
  withoutCorner,
  liesOn,
  moved,
  replaced,
  thingOf,
  turned,
  without,
} from './edit';
import { finish, pointsFor } from './finish';
import { thingAt } from './hit';
import { alongLeg, legOf } from './leg';
import { snap, type XY } from './snap';
import { createPlaceStore } from './store';
import { cornersOfPicture, fitted, type Picture } from './Underlay';

const place: Place = {
  $schema: 'yawtrope:place',
  version: 2,
  id: 'pool',
  name: 'Pool',
  note: '',
  features: [
    {
      kind: 'pontoon',
      id: 'long',
      name: 'long pontoon',
      outline_m: [
        [0, 0],
        [40, 0],
        [40, 3],
        [0, 3],
      ],
    },
    { kind: 'bollard', id: 'b1', name: 'bollard 1', x_m: 10, y_m: 0.2, height_m: 0.6 },
    {
      kind: 'groundLine',
      id: 'g1',
      name: 'ground line 1',
      x_m: 10,
      y_m: -20,
      depth_m: 4,
      tail: 'bollard 1',
    },
    {
      kind: 'boat',
      id: 'boat-1',
      name: 'boat 1',
      outline_m: [
        [20, -1],
        [28, -1],
        [30, -2.5],
        [28, -4],
        [20, -4],
      ],
    },
  ],
  berths: [
    {
      kind: 'alongside',
      id: 'berth-1',
      name: 'berth 1',
      edge_m: [
        [1, 0],
        [15, 0],
      ],
      on: ['long'],
      height_m: 0.5,
    },
  ],
  areas: [],
  transits: [],
};

describe('a point put on the plan', () => {
  it('is drawn to a corner, to an edge, square or parallel to what is there, else to the decimetre', () => {
    const at = (x: number, y: number, before: readonly XY[] = []) =>
      snap(place, [x, y], before, 10);
    expect(at(40.5, 3.4)).toEqual({ at: [40, 3], to: 'corner' });
    expect(at(33.337, 0.4)).toEqual({ at: [33.34, 0], to: 'edge' });
    expect(at(-7.234, -9.871)).toEqual({ at: [-7.2, -9.9], to: 'grid' });
    // Twelve metres and a bit from the last corner, three degrees off square to the leg before.
    const leg: XY[] = [
      [-30, -30],
      [-30 + 10 * Math.SQRT1_2, -30 + 10 * Math.SQRT1_2],
    ];
    const [x, y] = alongLeg(leg[1]!, 12.04, 45 + 90 + 3);
    const square = snap(place, [x, y], leg, 10);
    expect(square.to).toBe('right angle');
    expect(legOf(leg[1]!, square.at)).toMatchObject({ bearing: 135 });
    expect(legOf(leg[1]!, square.at).length).toBeCloseTo(12, 1);
    // Along the pontoon, which runs east, from a first corner far from it.
    expect(at(-10, -40.5, [[-30, -40]])).toEqual({ at: [-10, -40], to: 'parallel' });
    // Back to where the outline began.
    const ring: XY[] = [
      [-30, -40],
      [-20, -40],
      [-20, -30],
    ];
    expect(at(-29.6, -39.5, ring)).toEqual({ at: [-30, -40], to: 'corner' });
  });
});

describe('what lies under a point', () => {
  it('is a single thing before a berth, a berth before an outline, the smallest outline first', () => {
    const id = (x: number, y: number) => thingAt(place, [x, y], 10)?.id ?? null;
    expect(id(10.1, 0.3)).toBe('b1');
    expect(id(5, 0.3)).toBe('berth-1');
    expect(id(30, 1.5)).toBe('long');
    expect(id(24, -2)).toBe('boat-1');
    expect(id(60, 60)).toBeNull();
    const over = {
      ...place,
      features: [
        ...place.features,
        {
          ...place.features[3]!,
          id: 'small',
          outline_m: [
            [22, -2],
            [24, -2],
            [24, -3],
          ] as [number, number][],
        },
      ],
    } as Place;
    expect(thingAt(over, [23.5, -2.2], 10)?.id).toBe('small');
  });
});

describe('changing a place', () => {
  it('moves by corners, and what is untouched stays the same object', () => {
    const boat = thingOf(place, 'boat-1')!;
    const next = replaced(place, moved(boat, 2, -1));
    expect(cornersOf(thingOf(next, 'boat-1')!)[2]).toEqual([32, -3.5]);
    expect(next.features[0]).toBe(place.features[0]);
    expect(next.berths).toBe(place.berths);
  });

  it('gives an outline one more corner, and takes one away as long as three are left', () => {
    const long = place.features[0]!;
    const more = withCornerAfter(long, 3);
    expect(cornersOf(more)).toEqual([...cornersOf(long), [0, 1.5]]);
    expect(cornersOf(withCornerAfter(long, 0))[1]).toEqual([20, 0]);
    expect(withoutCorner(more, 4)).toEqual(long);
    const three = withoutCorner(long, 1)!;
    expect(cornersOf(three)).toHaveLength(3);
    expect(withoutCorner(three, 0)).toBeNull();
    expect(withoutCorner(place.berths[0]!, 0)).toBeNull();
  });

  it('turns a lock with the way up-stream, and nothing else of it', () => {
    const outline_m: [number, number][] = [
      [0, 0],
      [20, 0],
      [20, 6],
      [0, 6],
    ];
    const lock = {
      kind: 'lock' as const,
      id: 'l',
      name: 'L',
      outline_m,
      working: usualLock(outline_m),
    };
    expect(lock.working.upstream_deg).toBe(90);
    const once = turned(lock, -100);
    expect(once.working).toEqual({ ...lock.working, upstream_deg: 350 });
    expect(turned(once, 100).working).toEqual(lock.working);
    const { working: _none, ...bare } = lock;
    expect(turned(bare, 30)).not.toHaveProperty('working');
  });

  it('takes away what hung on a thing with it', () => {
    expect(without(place, 'b1').features.map(({ id }) => id)).toEqual(['long', 'boat-1']);
    expect(without(place, 'long').berths).toEqual([]);
    const both = { ...place, berths: [{ ...place.berths[0]!, on: ['long', 'b1'] }] };
    expect(without(both, 'long').berths[0]!.on).toEqual(['b1']);
    expect(check(placeSchema, without(place, 'b1')).ok).toBe(true);
  });

  it('knows what says where it is: what is built and moored, else whatever there is', () => {
    const bank = {
      kind: 'bank' as const,
      id: 'bank',
      name: 'bank',
      outline_m: [
        [-500, 0],
        [500, 0],
        [0, 900],
      ] as [number, number][],
    };
    const far = (corners: readonly XY[]) => Math.max(...corners.flat().map(Math.abs));
    expect(far(gistOf({ ...place, features: [...place.features, bank] }))).toBe(40);
    expect(far(gistOf({ ...place, features: [bank], berths: [] }))).toBe(900);
    const lock = {
      kind: 'lock',
      id: 'l',
      name: 'lock',
      outline_m: [
        [60, 0],
        [70, 0],
        [70, 20],
      ],
    } as const;
    const areas = [
      { ...lock, outline_m: lock.outline_m.map(([x, y]): [number, number] => [x, y]) },
    ];
    expect(far(gistOf({ ...place, areas }))).toBe(70);
  });

  it('finds free names, and what an edge lies on', () => {
    expect(freeName(place, 'bollard')).toEqual({ id: 'bollard-2', name: 'bollard 2' });
    expect(
      liesOn(place, [
        [2, 0.1],
        [12, 0.1],
      ]),
    ).toEqual(['long']);
    // Boats come and go: nobody's berth lies on one.
    expect(
      liesOn(place, [
        [20, -4],
        [28, -4],
      ]),
    ).toEqual([]);
  });

  it('makes of points what the tool says, or says why not', () => {
    const tool = { is: 'outline', kind: 'quay' } as const;
    expect(
      finish(place, tool, [
        [0, 9],
        [5, 9],
      ]),
    ).toMatchObject({ why: expect.stringMatching(/three/) as string });
    const made = finish(place, tool, [
      [0, 9],
      [5, 9],
      [5, 14],
    ]);
    expect('place' in made && check(placeSchema, made.place).ok).toBe(true);
    const berth = finish(place, { is: 'berth' }, [
      [20, 3],
      [35, 3],
    ]);
    expect('place' in berth && thingOf(berth.place, berth.id)).toMatchObject({ on: ['long'] });
    expect(
      finish(place, { is: 'berth' }, [
        [20, 30],
        [35, 30],
      ]),
    ).toHaveProperty('why');
    expect(
      finish(without(place, 'b1'), { is: 'spot', kind: 'groundLine' }, [[0, 0]]),
    ).toHaveProperty('why');
    expect([
      pointsFor(tool),
      pointsFor({ is: 'berth' }),
      pointsFor({ is: 'spot', kind: 'pile' }),
    ]).toEqual([null, 2, 1]);
  });

  it('is undone edit by edit', () => {
    const store = createPlaceStore(place);
    store.getState().edit(without(place, 'b1'));
    store.getState().choose('long');
    store.getState().edit(without(store.getState().place, 'boat-1'));
    store.temporal.getState().undo();
    expect(store.getState().place.features.map(({ id }) => id)).toEqual(['long', 'boat-1']);
    store.temporal.getState().undo();
    expect(store.getState().place).toBe(place);
    store.temporal.getState().redo();
    expect(store.getState().place.features).toHaveLength(2);
  });
});

it('a picture is turned and scaled so that two of its points lie where they belong', () => {
  const picture: Picture = {
    address: '',
    width: 400,
    height: 200,
    x: 5,
    y: -3,
    metresPerPixel: 0.25,
    turned_deg: 10,
  };
  const to: [XY, XY] = [
    [100, 50],
    [100, 80],
  ];
  const next = fitted(
    picture,
    [
      [0, 0],
      [20, 0],
    ],
    to,
  )!;
  expect(next.metresPerPixel).toBeCloseTo(0.375, 9);
  // East became north: it was turned a quarter back.
  expect(next.turned_deg).toBeCloseTo(-80, 9);
  expect([next.x, next.y]).toEqual([expect.closeTo(104.5, 9), expect.closeTo(57.5, 9)]);
  // Its corners go with it: the first stays as far from the first point, in the new scale.
  const [before] = cornersOfPicture(picture);
  const [after] = cornersOfPicture(next);
  expect(Math.hypot(after![0] - 100, after![1] - 50)).toBeCloseTo(
    1.5 * Math.hypot(before![0], before![1]),
    9,
  );
  expect(
    fitted(
      picture,
      [
        [1, 1],
        [1, 1],
      ],
      to,
    ),
  ).toBeNull();
});
