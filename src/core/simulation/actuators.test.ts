import { assembleCraft } from '../boat';
import { jet, sloop } from '../testing/boats';
import {
  actuatorStages,
  advanceActuators,
  copyState,
  initialState,
  orderEngine,
  orderRudder,
  timeToActuatorEvent,
  type Gear,
} from './';

const craft = assembleCraft(sloop());
const shaft = craft.spec.drives[0]!;
const DEG = Math.PI / 180;
const still = new Float64Array(4);

function fresh() {
  const state = initialState(craft, { x: 0, y: 0, heading: 0, speed: 0 });
  const stages = actuatorStages(craft);
  return {
    state,
    stages,
    engine: state.engines[0]!,
    order: (gear: Gear, throttle = 0) => orderEngine(state.engines[0]!, shaft, gear, throttle),
    /** Advances in pieces that never reach past an event, as the run does. */
    go(seconds: number) {
      let left = seconds;
      while (left > 1e-12) {
        const dt = Math.min(left, timeToActuatorEvent(state, craft));
        stages.span[0] = dt;
        advanceActuators(stages, state, craft, still);
        left -= dt;
      }
    },
  };
}

describe('gearbox', () => {
  it('lets an order be taken back before the clutch has taken hold', () => {
    const rig = fresh();
    rig.order(1, 0.5);
    rig.go(0.3);
    rig.order(0);
    rig.go(5);
    expect(rig.engine).toMatchObject({ engaged: 0, rps: 0, orderedGear: 0 });
  });

  it('counts time already spent in neutral towards the pause', () => {
    const rig = fresh();
    rig.order(1);
    rig.go(3);
    rig.order(0);
    rig.go(1.2);
    rig.order(-1);
    // 1.5 s of pause less 1.2 s, but never less than the shift itself.
    expect(rig.engine.engagesIn).toBeCloseTo(0.5, 9);
    rig.go(0.49);
    expect(rig.engine.engaged).toBe(0);
    rig.go(0.02);
    expect(rig.engine.engaged).toBe(-1);
  });

  it('needs no pause to go back into the gear it came from', () => {
    const rig = fresh();
    rig.order(-1);
    rig.go(2);
    rig.order(0);
    rig.order(-1);
    expect(rig.engine.engagesIn).toBeCloseTo(shaft.shiftDelay, 9);
  });

  it('changes throttle without touching the clutch', () => {
    const rig = fresh();
    rig.order(1, 0);
    rig.go(10);
    expect(rig.engine.rps).toBeCloseTo(shaft.idleRps, 4);
    rig.order(1, 1);
    expect(rig.engine).toMatchObject({ engaged: 1, engagesIn: Infinity });
    rig.go(10);
    expect(rig.engine.rps).toBeCloseTo(shaft.fullRps, 4);
  });
});

describe('revolutions and wheel are exact in time', () => {
  it('whatever pieces the time is cut into', () => {
    const whole = fresh();
    const cut = fresh();
    for (const rig of [whole, cut]) {
      rig.order(1, 0.7);
      orderRudder(rig.state, craft, 30 * DEG);
    }
    whole.go(2.5);
    for (let i = 0; i < 250; i++) cut.go(0.01);
    expect(cut.engine.rps).toBeCloseTo(whole.engine.rps, 10);
    expect(cut.state.angles[0]!).toBeCloseTo(whole.state.angles[0]!, 12);
  });

  it('gives start, middle and end of a step', () => {
    const rig = fresh();
    rig.order(1, 0.7);
    rig.go(0.6);
    const from = rig.engine.rps;
    const target = shaft.idleRps + 0.7 * (shaft.fullRps - shaft.idleRps);
    orderRudder(rig.state, craft, -20 * DEG);
    rig.stages.span[0] = 0.4;
    advanceActuators(rig.stages, rig.state, craft, still);
    const at = (t: number) => target + (from - target) * Math.exp(-t / shaft.response);
    expect(rig.stages.rps[0]).toBeCloseTo(from, 12);
    expect(rig.stages.rps[1]).toBeCloseTo(at(0.2), 10);
    expect(rig.stages.rps[2]).toBeCloseTo(at(0.4), 10);
    const rate = craft.spec.steering.rate;
    expect(rig.stages.sin[1]).toBeCloseTo(Math.sin(-rate * 0.2), 12);
    expect(rig.stages.sin[2]).toBeCloseTo(Math.sin(-rate * 0.4), 12);
  });

  it('knows the next sudden thing', () => {
    const rig = fresh();
    expect(timeToActuatorEvent(rig.state, craft)).toBe(Infinity);
    orderRudder(rig.state, craft, 11 * DEG);
    expect(timeToActuatorEvent(rig.state, craft)).toBeCloseTo(0.5, 9);
    rig.order(1);
    rig.go(0.2);
    expect(timeToActuatorEvent(rig.state, craft)).toBeCloseTo(0.3, 9);
  });

  it('stops at the lock on either side', () => {
    const rig = fresh();
    for (const side of [-1, 1]) {
      orderRudder(rig.state, craft, side * 3);
      rig.go(10);
      expect(rig.state.angles[0]!).toBeCloseTo(side * 35 * DEG, 12);
    }
  });
});

it('a copied state goes on as the original would have', () => {
  const rig = fresh();
  rig.order(1, 0.6);
  rig.go(0.45);
  const kept = initialState(craft, { x: 9, y: 9, heading: 1, speed: 1 });
  copyState(kept, rig.state);
  rig.go(3);
  const told = ({ rps, engaged, sinceDriven }: typeof rig.engine) => ({
    rps,
    engaged,
    sinceDriven,
  });
  const ran = told(rig.engine);
  copyState(rig.state, kept);
  rig.go(3);
  expect(told(rig.engine)).toEqual(ran);
});

describe('what the actuators do within a piece of a step', () => {
  const piece = (rig: ReturnType<typeof fresh>, seconds = 0.1) => {
    rig.go(seconds);
    return rig.stages.straight;
  };

  it('is straight with everything standing, and while the wheel turns at its rate', () => {
    const rig = fresh();
    expect(piece(rig)).toBe(true);
    orderRudder(rig.state, craft, 20 * DEG);
    expect(piece(rig)).toBe(true);
    expect(rig.state.angles[0]!).toBeGreaterThan(0);
    expect(rig.state.angles[0]!).toBeLessThan(20 * DEG);
  });

  it('is not as a screw takes hold or runs down, and is again once it has settled', () => {
    const rig = fresh();
    rig.order(1, 0.5);
    rig.go(shaft.shiftDelay);
    expect(rig.engine.engaged).toBe(1);
    expect(piece(rig)).toBe(false);
    rig.go(30);
    expect(piece(rig)).toBe(true);
    rig.order(0);
    expect(piece(rig)).toBe(false);
    rig.go(30);
    expect(piece(rig)).toBe(true);
    expect(rig.engine.rps).toBe(0);
  });

  it('is not as a thruster starts; one that runs steadily is', () => {
    const rig = thrusting();
    expect(piece(rig)).toBe(false);
    rig.go(8);
    expect(piece(rig)).toBe(true);
    expect(rig.state.thrusters[0]!.power).toBeCloseTo(1, 3);
  });
});

describe('a thruster’s sudden moments', () => {
  const spec = { ...jet(3, 400), response: 0.4, reverseDelay: 1, heatTime: 20, coolTime: 30 };
  const craftOf = assembleCraft({ ...sloop(), thrusters: [spec] });
  /** Carried on in steps of `dt`, none past what comes suddenly; when it was hot, and when it had run down. */
  function played(dt: number) {
    const state = initialState(craftOf, { x: 0, y: 0, heading: 0, speed: 0 });
    const stages = actuatorStages(craftOf);
    const thruster = state.thrusters[0]!;
    thruster.ordered = 1;
    let time = 0;
    let cut = NaN;
    let back = NaN;
    while (time < 45 - 1e-9) {
      const step = Math.min(dt, timeToActuatorEvent(state, craftOf), 45 - time);
      stages.span[0] = step;
      advanceActuators(stages, state, craftOf, still);
      time += step;
      if (Number.isNaN(cut) && thruster.cut) cut = time;
      if (!Number.isNaN(cut) && Number.isNaN(back) && !thruster.cut) back = time;
    }
    return { cut, back, power: thruster.power, heat: thruster.heat };
  }

  it('come when they come, whatever the step: hot, cool again, running on', () => {
    const fine = played(0.003);
    const coarse = played(0.1);
    expect(fine.cut).toBeGreaterThan(20);
    expect(coarse.cut).toBeCloseTo(fine.cut, 4);
    expect(coarse.back).toBeCloseTo(fine.back, 3);
    expect(coarse.power).toBeCloseTo(fine.power, 4);
    expect(coarse.heat).toBeCloseTo(fine.heat, 4);
  });
});

/** A thruster of quick response that has just been started. */
function thrusting(): ReturnType<typeof fresh> {
  const craft = assembleCraft({ ...sloop(), thrusters: [{ ...jet(3, 400), response: 0.3 }] });
  const state = initialState(craft, { x: 0, y: 0, heading: 0, speed: 0 });
  const stages = actuatorStages(craft);
  state.thrusters[0]!.ordered = 1;
  return {
    ...fresh(),
    state,
    stages,
    go(seconds: number) {
      stages.span[0] = seconds;
      advanceActuators(stages, state, craft, still);
    },
  };
}
