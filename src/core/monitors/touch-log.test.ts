import { sloop } from '../testing/boats';
import { box } from '../testing/manoeuvre';
import { rig } from '../testing/rig';
import { timestep } from '../simulation';
import { TouchLog } from './touches';

/** Drifting starboard side on to a quay, fenders out. */
function drifting(speed: number) {
  const r = rig(sloop(), { v: speed, obstacles: [box('quay', 2.1, -30, 8, 30)] });
  return { r, log: new TouchLog(r.world) };
}

const worst = (log: TouchLog) => Math.max(0, ...log.touches().map(({ peakForce }) => peakForce));

describe('the log of touches', () => {
  it('restored before a touch knows nothing of it, and logs it again just so', () => {
    const { r, log } = drifting(0.2);
    log.save();
    const before = { motion: r.state.motion.slice(), time: r.state.time };
    const run = () => {
      for (let i = 0; i < 30; i++) timestep({ ...r, watch: log }, 0.1);
      return log.touches();
    };
    const first = run();
    expect(first.length).toBeGreaterThan(0);
    log.restore();
    expect(log.touches()).toEqual([]);
    r.state.motion.set(before.motion);
    r.state.time = before.time;
    expect(run()).toEqual(first);
  });

  it('gives back the peak a touch had when it was saved', () => {
    const { r, log } = drifting(0.2);
    while (log.count === 0) timestep({ ...r, watch: log }, 0.05);
    log.save();
    const saved = log.touches();
    const peak = worst(log);
    // Pressed harder within the step that is taken again.
    r.state.motion[4]! += 0.4;
    for (let i = 0; i < 20; i++) timestep({ ...r, watch: log }, 0.05);
    expect(worst(log)).toBeGreaterThan(peak);
    log.restore();
    expect(log.touches()).toEqual(saved);
  });

  it('counts what she lies against at the start as no touch', () => {
    const { r, log } = drifting(0);
    r.state.motion[0] = 0.3;
    timestep(r, 0.01);
    log.settle(r, []);
    for (let i = 0; i < 10; i++) timestep({ ...r, watch: log }, 0.05);
    expect(r.scratch.touch.count).toBeGreaterThan(0);
    expect(log.count).toBe(0);
  });
});
