import type { RunInput } from '../plan';
import { beginning, Y } from '../simulation';
import { sloop } from '../testing/boats';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { bottomOf } from '../water';
import { Surroundings } from './rollout';
import { timeToContactFrom } from './time-to-contact';
import { wayOutAt } from './way-out';

const START = { is: 'start' } as const;

describe('what stops her though nothing is touched', () => {
  /** Two metres a second on in neutral, half ahead of the boat something: its bow starts 4.5 m ahead of nought or so. */
  const on = (rest: Partial<RunInput>) => {
    const input = inputOf([stepOf(START, [])], { is: 'after', time: 1 }, rest);
    const about = new Surroundings({ ...input, start: { x: 0, y: 0, heading: 0, speed: 2 } });
    return { about, from: about.copyOf(beginning(about.world, about.input.start)) };
  };
  const shoal = (from: number, depth: number) => ({
    weather: {
      ...CALM,
      bottom: bottomOf(
        [{ outline: Float64Array.of(-90, from, 90, from, 90, 90, -90, 90), depth }],
        [],
        20,
      )!,
    },
  });
  const bridged = (clearance: number) => {
    const boat = { ...sloop(), hull: { ...sloop().hull, airDraught: 8 } };
    const outline = Float64Array.of(-30, 14, 30, 14, 30, 18, -30, 18);
    return { boat, bridges: [{ name: 'footbridge', outline, clearance, footway: true }] };
  };

  it('is the bottom ahead: time in hand until she takes it, and none where there is water enough', () => {
    const { about, from } = on(shoal(12, 0.5));
    const hand = timeToContactFrom(about, from, 'neutral')!;
    expect(hand).toMatchObject({ on: 'bottom', name: 'the bottom', grade: 'hard' });
    expect(hand.seconds).toBeGreaterThan(2);
    expect(hand.seconds).toBeLessThan(9);
    const deep = on(shoal(12, 6));
    expect(timeToContactFrom(deep.about, deep.from, 'neutral')).toBeNull();
  });

  it('is a bridge too low for her, and no way out is open that leads under it', () => {
    const low = on(bridged(7));
    const hand = timeToContactFrom(low.about, low.from, 'neutral')!;
    expect(hand).toMatchObject({ on: 'bridge', name: 'footbridge', part: null });
    const high = on(bridged(9));
    expect(timeToContactFrom(high.about, high.from, 'neutral')).toBeNull();
    expect(wayOutAt(high.about, high.from).grade).toBe('open');
    // The boat's bow under it already it cannot stop in time.
    const late = low.about.copyOf(low.from);
    late.motion[Y] = 8.5;
    expect(wayOutAt(low.about, late).grade).toBe('none');
  });
});
