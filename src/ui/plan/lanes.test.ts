import { scaleLinear } from 'd3-scale';
import { runPlan, type Run } from '@/core/plan';
import { toRunInput } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { readAt, sampleBefore } from '../water/sample';
import { engineLane, headingLane, speedLane, turnLane, wheelLane } from './lanes';

const KN = { speed: 'kn', length: 'm', force: 'N' } as const;
const input = toRunInput(demoFile('alongside-wind-off'));
if (!input.ok) throw new Error('the demo is not sound');
const run: Run = runPlan(input.value);
const x = scaleLinear([0, run.duration], [132, 930]);

describe('reading a run at a moment', () => {
  it('finds the sample before, at both ends too', () => {
    const { trace } = run;
    expect(sampleBefore(trace, -1)).toBe(0);
    expect(sampleBefore(trace, 0.1)).toBe(1);
    expect(sampleBefore(trace, 0.19)).toBe(1);
    expect(sampleBefore(trace, 1e9)).toBe(trace.time.length - 1);
  });

  it('goes straight between samples', () => {
    const { trace } = run;
    expect(readAt(run, 'x', 5.05)).toBeCloseTo((trace.x[50]! + trace.x[51]!) / 2, 9);
    expect(readAt(run, 'x', run.duration + 5)).toBe(trace.x.at(-1));
  });
});

describe('lanes', () => {
  const numbers = (path: string) => path.match(/-?\d+(\.\d+)?/g)!.map(Number);
  const lanes = [
    wheelLane(run, x, 0.61, 'Wheel'),
    engineLane(run, x, 0, 16.7, 'Engine'),
    speedLane(run, x, KN),
    headingLane(run, x),
    turnLane(run, x),
  ];

  it('stay inside their height and the time axis', () => {
    for (const lane of lanes) {
      const values = numbers(lane.path);
      values.forEach((value, i) => {
        if (i % 2 === 0) {
          expect(value).toBeGreaterThanOrEqual(131.99);
          expect(value).toBeLessThanOrEqual(930.01);
        } else {
          expect(value).toBeGreaterThanOrEqual(0);
          expect(value).toBeLessThanOrEqual(lane.height);
        }
      });
    }
  });

  it('draw port above the line and starboard below, on wheel and rate of turn alike', () => {
    const [wheel, , , , turn] = lanes;
    expect(wheel!.top).toBe('port');
    // The first order is port wheel: above the zero line, which is to say a smaller y.
    const heights = numbers(wheel!.path).filter((_, i) => i % 2 === 1);
    expect(heights.find((at) => Math.abs(at - wheel!.zero!) > 1)).toBeLessThan(wheel!.zero!);
    expect(turn!.top).toMatch(/port$/);
    expect(turn!.read(10)).toMatch(/port$/);
  });

  it('read what the run holds', () => {
    const [wheel, engine, speed, heading, turn] = lanes;
    const angle = (run.trace.rudder[100]! * 180) / Math.PI;
    expect(angle).toBeLessThan(-1);
    expect(wheel!.read(10)).toBe(`${Math.round(-angle)}° port`);
    expect(engine!.read(10)).toBe('ahead');
    expect(engine!.read(run.duration - 2)).toBe('astern');
    expect(engine!.read(run.duration)).toBe('neutral');
    expect(speed!.read(0)).toBe('2.2 kn');
    expect(heading!.read(0)).toBe('078°');
    expect(turn!.read(0)).toBe('steady');
  });

  it('do not write a nought with a sign', () => {
    expect(lanes[2]!.foot).not.toBe('-0.0');
  });
});
