import { engine, recordingOf } from '../testing/driven';
import { stepOf, box, inputOf } from '../testing/manoeuvre';
import {
  crossing,
  leaving,
  playRecording,
  trafficAt,
  trafficGap,
  type Surprise,
  type Traffic,
} from './';
import { faultsOf, reviewOf } from '../debrief';
import { sloop } from '../testing/boats';

const deck = sloop().hull.deck;
const square = Float64Array.from([1, 1, 1, -1, -1, -1, -1, 1]);
const traffic = (frames: Traffic['frames']): Traffic => ({
  name: 'somebody',
  kind: 'boat',
  outline: square,
  frames,
  replaces: null,
});
const open = inputOf([stepOf({ is: 'start' }, [])], { is: 'after', time: 600 });

describe('somebody else under way', () => {
  it('is where the frames say, and goes straight between', () => {
    const one = traffic([
      { time: 2, x: 0, y: 0, heading: 6 },
      { time: 6, x: 8, y: 4, heading: 7 },
    ]);
    expect(trafficAt(one, 0)).toMatchObject({ x: 0, y: 0 });
    expect(trafficAt(one, 3)).toEqual({ x: 2, y: 1, heading: 6.25 });
    expect(trafficAt(one, 9)).toMatchObject({ x: 8, y: 4 });
  });

  it('is as far off as their outlines are, turned or not', () => {
    // The boat's bow is at (0, 5): a square of two metres with its middle eight ahead has its edge at seven.
    const there = (x: number, y: number, heading = 0) => traffic([{ time: 0, x, y, heading }]);
    const her = { x: 0, y: 0, heading: 0 };
    expect(trafficGap(there(0, 8), 0, deck, her)).toBeCloseTo(2, 9);
    expect(trafficGap(there(0, 8, Math.PI / 4), 0, deck, her)).toBeCloseTo(3 - Math.SQRT2, 9);
    expect(trafficGap(there(0, 2), 0, deck, her)).toBeLessThan(0);
    expect(trafficGap(there(8, 0), 0, deck, { ...her, heading: Math.PI / 2 })).toBeCloseTo(2, 9);
  });

  it('crosses square to her way from the side with more water, and is there when she is to be', () => {
    const walls = [box('near wall', -40, -12, -9, 60)];
    const one = crossing(walls, { x: 0, y: 20, heading: 0 }, 15)!;
    expect(trafficAt(one, 15)).toMatchObject({
      x: expect.closeTo(0, 6) as number,
      y: expect.closeTo(20, 6) as number,
    });
    expect(one.frames[0]!.x).toBeGreaterThan(15);
    expect(one.frames[1]!.x).toBeGreaterThan(-9);
    const narrow = [...walls, box('far wall', 0.5, -12, 30, 60)];
    expect(crossing(narrow, { x: 0, y: 20, heading: 0 }, 15)).toBeNull();
  });

  it('leaves ahead, astern or sideways, by where there is room, and not where there is none', () => {
    const boat = box('boat', 0, 0, 3, 9);
    const away = (...about: ReturnType<typeof box>[]) => leaving([boat, ...about], 'boat', 10);
    const moved = (one: Traffic | null) => {
      const [first, last] = [one!.frames[0]!, one!.frames.at(-1)!];
      return { x: last.x - first.x, y: last.y - first.y };
    };
    const north = box('north', -5, 11, 8, 14);
    const south = box('south', -5, -5, 8, -2);
    expect(moved(away())).toMatchObject({ x: expect.closeTo(0, 1) as number });
    expect(moved(away(south)).y).toBeGreaterThan(10);
    expect(moved(away(north)).y).toBeLessThan(-10);
    const west = box('west', -5, -3, -0.5, 12);
    // Shut in before and behind, a wall on one side: off to the other, then along.
    const out = away(box('north', -5, 11, 4, 14), box('south', -5, -5, 4, -2), west)!;
    expect(moved(out).x).toBeGreaterThan(3);
    expect(out.frames).toHaveLength(3);
    expect(away(north, south, west, box('east', 3.5, -3, 8, 12))).toBeNull();
    expect(leaving([boat], 'nobody', 0)).toBeNull();
  });

  it('turns out of her slip to the side with water, and touches nothing on her way', () => {
    // Bow first between two neighbours, a wall ahead, and another across a fairway that is shut to the west.
    for (const mirror of [1, -1]) {
      const mirrored = (id: string, x0: number, y0: number, x1: number, y1: number) =>
        box(id, Math.min(mirror * x0, mirror * x1), y0, Math.max(mirror * x0, mirror * x1), y1);
      const about = [
        mirrored('west neighbour', -6, 0, -3, 9),
        mirrored('east neighbour', 3, 0, 6, 9),
        mirrored('head of the slip', -40, 10, 60, 14),
        mirrored('far side', -40, -40, 60, -24),
        mirrored('west end', -40, -24, -22, -1),
      ];
      const one = leaving([mirrored('boat', -1.5, 0, 1.5, 9), ...about], 'boat', 5)!;
      const last = one.frames.at(-1)!;
      expect(mirror * last.x).toBeGreaterThan(25);
      expect(one.frames.length).toBeGreaterThan(8);
      for (let t = 5; t < last.time; t += 0.5) {
        for (const { outline } of about) {
          // As a body that points north: ahead is north, starboard east.
          const body = Float64Array.from(outline!, (_, i) => outline![i ^ 1]!);
          expect(trafficGap(one, t, body, { x: 0, y: 0, heading: 0 })).toBeGreaterThan(0.2);
        }
      }
      // Never faster than a boat goes there, nor turned on the spot.
      one.frames.slice(1).forEach((frame, i) => {
        const before = one.frames[i]!;
        const far = Math.hypot(frame.x - before.x, frame.y - before.y);
        expect(far / (frame.time - before.time)).toBeLessThan(0.75);
        const bend = Math.abs(frame.heading - before.heading);
        expect(bend).toBeLessThan(far / 9 + 1e-9);
      });
    }
  });

  it('run into ends the run; what has left is no more in the way', () => {
    const across: Surprise = {
      is: 'traffic',
      at: 0,
      traffic: traffic([
        { time: 0, x: 30, y: 12, heading: 4.7 },
        { time: 30, x: -30, y: 12, heading: 4.7 },
      ]),
    };
    const input = { ...open, start: { x: 0, y: 0, heading: 0, speed: 0.6 } };
    const { run } = playRecording(input, recordingOf(40, [], { surprises: [across] }));
    expect(run.outcome).toBe('struck');
    expect(run.events.at(-1)).toMatchObject({ is: 'struck', name: 'somebody' });
    const boat = box('boat', -3, 14, 3, 17);
    const there = { ...input, obstacles: [boat], start: { ...input.start, speed: 1.5 } };
    const gone = leaving([boat], 'boat', 0)!;
    const leaves: Surprise = { is: 'traffic', at: 0, traffic: gone };
    expect(playRecording(there, recordingOf(30, [])).run.outcome).toBe('hard touch');
    const after = playRecording(there, recordingOf(30, [], { surprises: [leaves] })).run;
    expect(after.touches).toEqual([]);
  });

  it('is waited for, or not', () => {
    // Clear of the boat by a metre or two as they go by, for whoever goes on.
    const across: Surprise = {
      is: 'traffic',
      at: 0,
      traffic: {
        ...traffic([
          { time: 0, x: 40, y: 14, heading: 4.7 },
          { time: 40, x: -40, y: 14, heading: 4.7 },
        ]),
        kind: 'paddler',
      },
    };
    const input = { ...open, start: { x: 0, y: 0, heading: 0, speed: 0.9 } };
    const rules = (done: Parameters<typeof recordingOf>[1]) =>
      faultsOf(reviewOf(input, recordingOf(18, done, { surprises: [across] }))).map(
        ({ rule }) => rule,
      );
    expect(rules([])).toContain('did not wait');
    expect(
      rules([
        [1, engine(-1, 0.5)],
        [5, engine(0)],
      ]),
    ).not.toContain('did not wait');
  });
});
