import { berthOf } from './berth-of';
import { namedMarks, placeSchema } from './place';
import { check } from './result';
import { demoFile, demoJson } from './testing/demo';

const spoiled = (change: (place: { berths: Record<string, unknown>[] }) => void) => {
  const json = structuredClone(demoJson('places', 'cradle-basin')) as {
    berths: Record<string, unknown>[];
  };
  change(json);
  const checked = check(placeSchema, json);
  return checked.ok ? [] : checked.problems.map(({ path, message }) => `${path}: ${message}`);
};

describe('the berth of a manoeuvre', () => {
  it.each([
    ['alongside-wind-off', 'west gap'],
    ['off-stilt-pontoon', 'east gap'],
    ['quince-takes-a-slip', 'south slip 7 west'],
    ['quince-backs-out', 'south slip 7 west'],
    ['glide-to-the-steps', 'steps berth'],
  ])('of %s is %s', (id, name) => {
    expect(berthOf(demoFile(id))?.name).toBe(name);
  });

  it('is none in open water, or where the place names none', () => {
    expect(berthOf(demoFile('round-in-the-basin'))).toBeNull();
    const bare = demoFile('alongside-wind-off');
    expect(berthOf({ ...bare, place: { ...bare.place, berths: [] } })).toBeNull();
  });

  it('is the one its goal names, by its own name', () => {
    const file = demoFile('quince-takes-a-slip');
    if (file.goal.is !== 'lie') throw new Error('another goal');
    const named = { ...file, goal: { ...file.goal, mark: 'north slip 8 west' } };
    expect(berthOf(named)?.id).toBe('n8a-slip');
  });
});

describe('berths of a place', () => {
  it('stand among the marks, at the middle of their edge', () => {
    const { place } = demoFile('alongside-wind-off');
    const [[ax, ay], [bx, by]] = place.berths[0]!.edge_m;
    expect(namedMarks(place)).toContainEqual({
      name: 'west gap',
      x: (ax + bx) / 2,
      y: (ay + by) / 2,
    });
  });

  it('are refused with what is wrong and where', () => {
    expect(spoiled(({ berths }) => (berths[0]!.kind = 'box'))).toEqual([
      "berths[0].kind: kind is 'alongside', 'slip', 'stern-to' or 'bow-to'",
    ]);
    expect(
      spoiled(
        ({ berths }) =>
          (berths[1]!.edge_m = [
            [0, 0],
            [0.5, 0],
          ]),
      ),
    ).toEqual(['berths[1].edge_m: give two ends at least 2 m apart']);
    expect(spoiled(({ berths }) => (berths[2]!.on = []))).toEqual([
      'berths[2].on: name at least one feature',
    ]);
    expect(spoiled(({ berths }) => (berths[1]!.name = berths[0]!.name))[0]).toContain(
      'is used twice',
    );
    expect(spoiled(({ berths }) => (berths[0]!.height_m = -1))[0]).toContain('berths[0].height_m');
  });

  it('may name what is not there: it is passed over', () => {
    expect(spoiled(({ berths }) => (berths[0]!.on = ['gone']))).toEqual([]);
  });
});
