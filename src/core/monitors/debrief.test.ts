import { traceOf, type OwnColumn, type Trace } from '../simulation';
import { gradeTouch, hullPart, marginsOf, severity, type Touch } from './';

function touch(change: Partial<Touch>): Touch {
  return {
    time: 1,
    obstacle: 0,
    name: 'quay',
    part: 'bow',
    fender: null,
    speed: 0.1,
    energy: 10,
    peakForce: 100,
    grade: 'firm',
    ...change,
  };
}

function trace({ gear, ...columns }: Partial<Record<OwnColumn | 'gear', number[]>>): Trace {
  const layout = { thrusters: 0, lines: 0, sounded: false, others: 0, locks: [], told: false };
  const made = traceOf({ ...layout, engines: [{ turns: false }] }, () => new Float64Array(6));
  for (const [name, values] of Object.entries(columns)) made[name as OwnColumn].set(values);
  made.engines[0]!.gear.set(gear ?? []);
  return made;
}

describe('parts of the hull', () => {
  it.each([
    [5, 0, 'bow'],
    [-5, 0.2, 'stern'],
    [3.5, -1, 'port bow'],
    [3.5, 1, 'starboard bow'],
    [0, -1.7, 'port side'],
    [0.5, 1.7, 'starboard side'],
    [-3.4, -1.4, 'port quarter'],
    [-4.6, 1.3, 'starboard quarter'],
  ] as const)('(%f, %f) is the %s', (x, y, part) => {
    expect(hullPart(x, y, 10, 3.4)).toBe(part);
  });

  it('mirror each other', () => {
    for (let x = -5; x <= 5; x += 0.25) {
      for (let y = 0.05; y < 1.7; y += 0.15) {
        const starboard = hullPart(x, y, 10, 3.4);
        expect(hullPart(x, -y, 10, 3.4)).toBe(starboard.replace('starboard', 'port'));
      }
    }
  });
});

describe('grades of touch', () => {
  it('are stricter on bare hull than on a fender', () => {
    expect([0.1, 0.2, 0.4].map((v) => gradeTouch(v, true))).toEqual(['soft', 'firm', 'hard']);
    expect([0.05, 0.1, 0.2].map((v) => gradeTouch(v, false))).toEqual(['soft', 'firm', 'hard']);
  });

  it('put a hard touch before a faster firm one', () => {
    const firm = touch({ grade: 'firm', speed: 0.29, fender: 'a' });
    const hard = touch({ grade: 'hard', speed: 0.16 });
    expect(severity(hard)).toBeGreaterThan(severity(firm));
  });
});

describe('margins', () => {
  const taken = trace({
    time: [0, 1, 2, 3, 4, 5],
    gear: [0, 1, 1, 0, -1, 0],
    surge: [0, 3, 1, 1, 0, 0],
    sway: [0, 4, 0, 0, 0, 0],
    groundSpeed: [0, 5, 1, 1, 0.4, 0.2],
  });

  it('count shifts into gear, time in neutral and speeds', () => {
    expect(marginsOf(taken, [])).toEqual({
      clearance: null,
      overhang: null,
      underKeel: null,
      overhead: null,
      line: null,
      touch: null,
      touchCount: 0,
      fastest: 5,
      finalSpeed: 0.2,
      gearShifts: 2,
      neutralSeconds: 2,
    });
  });

  it('name the worst touch', () => {
    const worst = touch({ grade: 'hard', speed: 0.5, name: 'pile' });
    const margins = marginsOf(taken, [touch({}), worst, touch({ speed: 0.14 })]);
    expect(margins.touch).toBe(worst);
    expect(margins.touchCount).toBe(3);
  });
});
