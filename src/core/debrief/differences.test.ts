import { engine, recordingOf, wheel } from '../testing/driven';
import { stepOf, box, inputOf } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import type { Recording, Surprise } from '../drive';
import type { Order, RunInput } from '../plan';
import { differencesBetween, type Change } from './';

type Done = readonly (readonly [number, ...Order[]])[];

const input = inputOf(
  [stepOf({ is: 'start' }, [])],
  { is: 'after', time: 600 },
  {
    obstacles: [box('quay', -40, 60, 40, 65), box('pier', 14, -20, 18, 30)],
    start: { x: 0, y: 0, heading: 0, speed: 0 },
    weather: { ...CALM, windFrom: -1.2, windSpeed: 4 },
  },
);

const DONE: Done = [
  [1, wheel(20)],
  [2, engine(1, 0.4)],
  [9, engine(0)],
  [12, wheel(-15)],
  [14, engine(1, 0.2)],
  [18, engine(0)],
  [21, engine(-1, 0.5)],
  [25, engine(0)],
];
const SECONDS = 30;

const changed = (at: number, to: readonly [number, ...Order[]] | null): Done =>
  DONE.flatMap((done, i) => (i === at ? (to ? [to] : []) : [done]));

function first(other: Done, rest: Partial<RunInput> = {}, more: Partial<Recording> = {}): Change {
  const found = differencesBetween(
    { input, recording: recordingOf(SECONDS, DONE) },
    { input: { ...input, ...rest }, recording: recordingOf(SECONDS, other, more) },
  );
  expect(found.causes[0]!.share).toBeGreaterThan(0.9);
  return found.causes[0]!.change;
}

describe('what was different', () => {
  it('names neutral that came late, and by how much', () => {
    const change = first(changed(2, [12, engine(0)]));
    expect(change).toMatchObject({ is: 'moved', channel: { of: 'engine' } });
    if (change.is !== 'moved') throw new Error('not moved');
    // Seen by place the boat makes more way before neutral comes: so many seconds after the place where it was given.
    expect(change.late).toBeGreaterThan(2);
    expect(change.input.order).toEqual(engine(0));
  });

  it('names another throttle, and another angle of the wheel', () => {
    expect(first(changed(1, [2, engine(1, 0.7)]))).toMatchObject({
      is: 'other',
      input: { order: { throttle: 0.7 } },
      reference: { order: { throttle: 0.4 } },
    });
    expect(first(changed(0, [1, wheel(8)]))).toMatchObject({
      is: 'other',
      channel: { of: 'wheel' },
    });
  });

  it('names what was left out, and what was done besides', () => {
    expect(first(changed(3, null))).toMatchObject({ is: 'missing', channel: { of: 'wheel' } });
    const more: Done = [...DONE, [19.5, wheel(30)]];
    expect(first(more)).toMatchObject({ is: 'extra', input: { timestep: 195 } });
  });

  it('names the wind, the current, the start and a surprise', () => {
    const weather = (part: object) => ({ weather: { ...input.weather, ...part } });
    expect(first(DONE, weather({ windSpeed: 9 })).is).toBe('wind');
    expect(first(DONE, weather({ currentSet: 1, currentSpeed: 0.3 })).is).toBe('current');
    expect(first(DONE, { start: { x: -4, y: 1, heading: 0.1, speed: 0 } }).is).toBe('start');
    const gust: Surprise = { is: 'gust', at: 6, by: 1.5, lasts: 10 };
    expect(first(DONE, {}, { surprises: [gust] })).toMatchObject({ is: 'surprise', in: 'other' });
  });

  it('holds places against each other, not the clock: lying longer before the first burst is one change', () => {
    const calm = { ...input, weather: CALM };
    const late = DONE.map(([at, ...orders]) => [at + 6, ...orders] as const);
    const found = differencesBetween(
      { input: calm, recording: recordingOf(SECONDS, DONE) },
      { input: calm, recording: recordingOf(SECONDS + 6, late) },
    );
    expect(found.came.apart).toBeLessThan(0.01);
    // The boat came to the same: nothing mattered, though every order came six seconds later.
    expect(found.causes).toEqual([]);
    expect(found.tried).toBeLessThanOrEqual(3);
  });

  it('gives several in the order of their effect', () => {
    const other = changed(1, [2, engine(1, 0.8)]).map((done) =>
      done[0] === 12 ? ([12, wheel(-12)] as const) : done,
    );
    const { causes } = differencesBetween(
      { input, recording: recordingOf(SECONDS, DONE) },
      { input, recording: recordingOf(SECONDS, other) },
    );
    expect(causes[0]!.change).toMatchObject({ is: 'other', channel: { of: 'engine' } });
    expect(causes.map(({ share }) => share)).toEqual(
      causes.map(({ share }) => share).toSorted((a, b) => b - a),
    );
  });

  it('is nothing between a run and itself', () => {
    const same = { input, recording: recordingOf(SECONDS, DONE) };
    expect(differencesBetween(same, same)).toMatchObject({
      causes: [],
      tried: 0,
      came: { apart: 0 },
    });
  });
});
