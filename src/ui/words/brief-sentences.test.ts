import type { Brief } from '@/core/brief';
import { demoFile } from '@/document/testing/demo';
import { briefSentences, comesFrom, type Briefed } from './brief-sentences';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const MPS = 1852 / 3600;

const leg = (step: number, lee: string | null, onto: object | null = null) => ({
  step,
  from: 10 * step,
  to: 10 * step + 10,
  lee,
  onto,
});
const brief = (part: object = {}): Brief =>
  ({
    lying: [
      {
        where: 'berth',
        at: 40,
        push: {
          wind: { ahead: 0, starboard: 8 * MPS },
          current: { ahead: 0, starboard: 0 },
          force: { ahead: 5, starboard: 150 },
        },
        letGo: { speed: 0.4 * MPS, towards: Math.PI, first: 'bow', turned: 0 },
      },
    ],
    legs: [leg(0, 'starboard'), leg(1, 'starboard')],
    speeds: [
      { lengths: 3, speed: 2 * MPS, time: 10, angle: 0.5 },
      { lengths: 2, speed: 1.5 * MPS, time: 15, angle: 0.5 },
      { lengths: 1, speed: 1 * MPS, time: 20, angle: 0.3 },
    ],
    ranges: null,
    able: null,
    ...part,
  }) as unknown as Brief;

const { plan } = demoFile('alongside-wind-off');
const told = (part: Partial<Briefed> = {}) =>
  briefSentences(
    {
      brief: brief(),
      plan,
      run: { duration: 47, steps: [{ step: 0, time: 0, x: 0, y: 0, heading: 0 }] },
      berthed: true,
      side: 'port',
      lastWay: null,
      share: null,
      ...part,
    },
    UNITS,
  );
const text = (key: string, part: Partial<Briefed> = {}) =>
  told(part).find((sentence) => sentence.key === key)?.text;

describe('a brief in five sentences', () => {
  it('says what pushes, which way, and what becomes of a boat left alone', () => {
    expect(text('push')).toBe(
      'In the berth 8 kn of wind on the port beam pushes the boat to starboard with 150 N; left alone it drifts to 180° at 0.4 kn, bow first.',
    );
    const ranges = { 'berth-push': { least: 70, most: 270 } } as never;
    expect(text('push', { brief: brief({ ranges }) })).toContain('150 N (70–270 N in 90 of 100)');
    expect(text('push', { berthed: false })).toMatch(/^Where the boat is to lie .* pushes it to/);
  });

  it('says where the danger is, by what hurts before what comes sooner', () => {
    expect(text('danger')).toBe(
      'Danger lies to starboard, safe water to port; left alone on the way the boat meets nothing within a minute.',
    );
    const onto = (name: string, seconds: number, grade: string) => ({
      on: 'thing',
      name,
      seconds,
      grade,
      speed: 0.1,
      part: 'bow',
    });
    const legs = [
      leg(0, 'port', onto('Quay', 3, 'soft')),
      leg(1, 'ahead', onto('Ketch', 30, 'firm')),
    ];
    const sentence = told({ brief: brief({ legs }) }).find(({ key }) => key === 'danger')!;
    expect(sentence.text).toBe(
      'Danger lies to port, from step 2 on ahead: stopped half-way after step 2 and left alone, the boat is on Ketch in 30 s at 0.2 kn.',
    );
    expect(sentence.hurts).toBe(true);
    expect(sentence.time).toBe(10);
  });

  it('says how it goes, by speeds and the names of steps', () => {
    expect(text('way')).toMatch(
      /^Come in port side to, at 29° to the berth, at 2\.0 kn three lengths off and at 1\.0 kn one length off\. 6 steps in 0:47: first “.+”, then “.+”, last “.+”\.$/,
    );
    expect(text('way', { brief: brief({ speeds: [] }) })).toMatch(/^6 steps in 0:47/);
  });

  it('says in what the boat stops, and how far to aim off', () => {
    const able = {
      stop: { from: 2 * MPS, distance: 4.7, turned: 0.33, time: 9, aside: 0 },
      turns: [],
    };
    expect(text('stop', { brief: brief({ able }) })).toBe(
      'From 2.0 kn firm astern stops the boat in 4.7 m; aim off 19° to port first.',
    );
    const straight = { stop: { ...able.stop, turned: 0.01 }, turns: [] };
    expect(text('stop', { brief: brief({ able: straight }) })).not.toContain('aim off');
    expect(text('stop')).toBeUndefined();
  });

  it('says how long there is a way out, and how many tries hold', () => {
    expect(text('out')).toBe('A way out is open at every moment.');
    const lastWay = { time: 38, grade: 'open', by: 'stop', spare: null } as const;
    expect(text('out', { lastWay })).toBe(
      'The last way out is at 0:38, in step 1: stop the boat; after it you are committed.',
    );
    const share = { share: 0.05, least: 0.03, most: 0.08, runs: 300 };
    const [out] = told({ lastWay: undefined, share }).filter(({ key }) => key === 'out');
    expect(out).toMatchObject({ text: 'It holds in 5 of 100 tries (3 to 8).', hurts: true });
    expect(text('out', { lastWay: undefined })).toBeUndefined();
  });
});

it.each([
  [{ ahead: -5, starboard: 0 }, 'from ahead'],
  [{ ahead: -5, starboard: 3 }, 'on the port bow'],
  [{ ahead: 0, starboard: -5 }, 'on the starboard beam'],
  [{ ahead: 5, starboard: -4 }, 'on the starboard quarter'],
  [{ ahead: 5, starboard: 0 }, 'from astern'],
])('what goes %j over the boat comes %s', (over, from) => {
  expect(comesFrom(over)).toBe(from);
});
