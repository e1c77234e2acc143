import { check, placeSchema, type Place } from '@/document';
import { cornersOf, moved, replaced, thingOf, turned, without } from './edit';
import { finish } from './finish';
import { thingAt } from './hit';
import type { XY } from './snap';

const place: Place = {
  $schema: 'yawtrope:place',
  version: 2,
  id: 'pool',
  name: 'Pool',
  note: '',
  features: [{ kind: 'bollard', id: 'b1', name: 'bollard 1', x_m: 10, y_m: 0.2, height_m: 0.6 }],
  berths: [],
  areas: [],
  transits: [],
};

describe('what of the water is drawn', () => {
  const corners: XY[] = [
    [0, -10],
    [12, -10],
    [12, -20],
    [0, -20],
  ];
  const made = (tool: Parameters<typeof finish>[1], points: readonly XY[], on: Place = place) => {
    const done = finish(on, tool, points);
    if ('why' in done) throw new Error(done.why);
    expect(check(placeSchema, done.place)).toMatchObject({ ok: true });
    return done;
  };

  it.each(['depth', 'bridge', 'zone', 'trees', 'lock'] as const)(
    'a %s is an area of its own, found under a point, changed and taken away',
    (kind) => {
      const { place: next, id } = made({ is: 'area', kind }, corners);
      expect(next.areas).toHaveLength(1);
      expect(thingAt(next, [6, -15], 10)!.id).toBe(id);
      const away = replaced(next, moved(thingOf(next, id)!, 5, 0));
      expect(cornersOf(thingOf(away, id)!)[0]).toEqual([5, -10]);
      expect(without(away, id).areas).toEqual([]);
    },
  );

  it('a transit is two marks pressed; it goes with either of them', () => {
    const two = made({ is: 'spot', kind: 'mark' }, [[30, 30]]).place;
    const { place: next, id } = made(
      { is: 'transit' },
      [
        [10, 1],
        [30, 29],
      ],
      two,
    );
    expect(next.transits).toMatchObject([{ front: 'bollard 1', back: 'mark 1' }]);
    expect(cornersOf(thingOf(next, id)!)).toEqual([]);
    expect(without(next, 'mark-1').transits).toEqual([]);
    expect(
      finish(place, { is: 'transit' }, [
        [10, 1],
        [200, 200],
      ]),
    ).toMatchObject({ why: expect.stringContaining('two marks') as string });
  });

  it('a boat of the fleet lies with the boat’s own outline, its bow so', () => {
    const deck: XY[] = [
      [5, 0],
      [-5, 1.5],
      [-5, -1.5],
    ];
    const size = { length: 10, beam: 3, draught: 1, airDraught: 2 };
    const boat = { id: 'wren', name: 'Wren', deck, ...size };
    const { place: next, id } = made({ is: 'boat', length: 3, beam: 1, heading: 90, boat }, [
      [0, -30],
    ]);
    expect(thingOf(next, id)!.name).toBe('Wren 1');
    expect(cornersOf(thingOf(next, id)!)[0]).toEqual([5, -30]);
  });

  it('turned round its middle, four times a quarter is as it was', () => {
    const { place: next, id } = made({ is: 'outline', kind: 'gate' }, corners);
    const gate = thingOf(next, id)!;
    const once = turned(gate, 90);
    expect(cornersOf(once)).not.toEqual(corners);
    expect(cornersOf(once)[0]).toEqual([11, -9]);
    expect(cornersOf(turned(turned(turned(once, 90), 90), 90))).toEqual(corners);
  });
});
