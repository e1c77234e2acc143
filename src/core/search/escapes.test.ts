import { sloop } from '../testing/boats';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { Rollout, Surroundings } from './rollout';
import { escape, ESCAPES, type EscapeName } from './escapes';

const START = { is: 'start' } as const;
const never = () => false;

/** Under way north in open water, escaping; `current` sets north. */
function escaping(
  name: EscapeName,
  speed: number,
  current = 0,
  rest: Partial<Rollout['state']> = {},
) {
  const about = new Surroundings(
    inputOf([stepOf(START, [])], START, {
      boat: { ...sloop(), thrusters: [THRUSTER] },
      weather: { ...CALM, currentSet: 0, currentSpeed: current },
    }),
  );
  const from = about.stillAt(0, 0, 0, 0);
  from.motion[3]! += speed;
  from.thrusters[0]!.ordered = rest.thrusters?.[0]?.ordered ?? 0;
  const rollout = new Rollout(about, from);
  escape(rollout, name, never);
  return rollout;
}

const THRUSTER = {
  name: 'bow thruster',
  x: 4,
  thrust: 600,
  jetSpeed: 5,
  control: 'on-off' as const,
  response: 0.2,
  reverseDelay: 1,
  heatTime: 120,
  coolTime: 300,
};

describe('escapes', () => {
  it('stop takes the way off over ground, in a current too', () => {
    for (const current of [-0.5, 0, 0.5]) {
      const rollout = escaping('stop', 1.2, current);
      // Eight seconds of drifting afterwards let the current take the boat again a little.
      expect(Math.abs(rollout.along)).toBeLessThan(0.2);
      expect(rollout.y).toBeGreaterThan(1);
      expect(rollout.y).toBeLessThan(14);
    }
  });

  it('astern goes back over ground, and ends stopped there', () => {
    for (const current of [-0.3, 0, 0.3]) {
      const rollout = escaping('astern', 0.4, current);
      expect(rollout.y).toBeLessThan(-6);
      expect(Math.abs(rollout.along)).toBeLessThan(0.1);
    }
  });

  it('on round turns her about to the side it says', () => {
    const port = escaping('port', 1.2);
    const starboard = escaping('starboard', 1.2);
    expect(port.heading).toBeLessThan(-0.85 * Math.PI);
    expect(starboard.heading).toBeGreaterThan(0.85 * Math.PI);
    expect(port.x).toBeLessThan(0);
    expect(starboard.x).toBeGreaterThan(0);
  });

  it('hold keeps her about where she is over ground, against a current that would take her lengths away', () => {
    const rollout = escaping('hold', 0, 0.4);
    const drifted = 0.4 * rollout.time;
    expect(drifted).toBeGreaterThan(8);
    expect(Math.hypot(rollout.x, rollout.y)).toBeLessThan(0.5 * drifted);
    expect(Math.abs(rollout.heading)).toBeLessThan(0.6);
  });

  it('leaves nothing running: engines in neutral and thrusters off at the end', () => {
    for (const name of ESCAPES) {
      const { state } = escaping(name, 0.8);
      expect(state.engines[0]!.orderedGear).toBe(0);
    }
    const running = { thrusters: [{ ordered: 1 }] } as unknown as Partial<Rollout['state']>;
    expect(escaping('stop', 0.8, 0, running).state.thrusters[0]!.ordered).toBe(0);
  });

  it('gives up at once when it has failed', () => {
    const about = new Surroundings(inputOf([stepOf(START, [])], START));
    for (const name of ESCAPES) {
      const rollout = new Rollout(about, about.stillAt(0, 0, 0, 0));
      let asked = 0;
      escape(rollout, name, () => (asked += 1) > 3);
      expect(rollout.time).toBeLessThan(2);
    }
  });
});
