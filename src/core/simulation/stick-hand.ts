import { GROUND } from '../holding';
import { ON_STICK } from '../policy';
import { wrapHalfTurn } from '../math';
import type { Craft } from '../boat';
import { joystickEffectors } from './joystick';
import { groundOf, pointAboard } from './readings';
import { PSI, R, type SimState } from './state';
import { WatchingHand, watchWith } from './watching-hand';
import type { World } from './world';

/** Where a boat is to be pushed by its joystick and kept, and how whoever does it sees it. SI, radians. */
export interface OnStick {
  readonly at: { readonly x: number; readonly y: number; readonly heading: number };
  readonly within: number;
  readonly headingWithin: number;
  readonly eye: number;
  readonly angle: number;
  readonly fast: number;
  readonly late: number;
}

/** Figures kept from look to look: the stick ahead, to starboard and twisted; what is held against what goes on pushing, of each; and looks at which it lay there on end. */
const [AHEAD, ASIDE, TWIST, HELD, LIES] = [1, 2, 3, 4, 7] as const;

const within = (value: number, most: number) => Math.max(-most, Math.min(most, value));
/** @param least is at least a notch worth it? */
const notched = (share: number, least: boolean) => {
  const notches = Math.round(within(share, 1) / ON_STICK.notch);
  return ON_STICK.notch * (notches === 0 && least ? Math.sign(share) : notches);
};

/** What a stick pushed all the way gives from rest: m/s² ahead and aside, rad/s² round. */
function answersOf(craft: Craft, density: number): readonly [number, number, number] {
  const moved = joystickEffectors(craft, density);
  const sum = (of: (one: (typeof moved)[number]) => number) =>
    moved.reduce((all, one) => all + of(one), 0);
  const { m11, m22, m33 } = craft.mass;
  return [
    sum(({ surge, most }) => (surge !== 0 ? most : 0)) / m11,
    sum(({ sway, most }) => (sway !== 0 ? most : 0)) / m22,
    sum(({ yaw, most, least }) => Math.abs(yaw) * Math.min(most, -least)) / m33,
  ];
}

/**
 * Somebody at a joystick who looks once a second where the boat is and how it goes, and pushes the stick by notches the way it has yet to go: so fast as it can still be stopped, and
 * a little more where it does not come.
 */
export class StickHand extends WatchingHand {
  constructor(private readonly to: OnStick) {
    super(to.late);
  }

  protected see(state: SimState, world: World): void {
    const { at, eye, angle, fast, headingWithin } = this.to;
    const { hand, motion } = state;
    const { row } = hand;
    const far = pointAboard(state, at.x, at.y);
    const ground = groundOf(state, world);
    const [ahead, aside] = [ground[GROUND.SURGE]!, ground[GROUND.SWAY]!];
    const off = wrapHalfTurn(at.heading - motion[PSI]! - angle);
    const answers = answersOf(world.craft, world.environment.waterDensity);
    // By what of it a second's push makes good, less what is under way already.
    const push = (left: number, going: number, most: number, k: 0 | 1 | 2) => {
      const wanted = within(left / ON_STICK.arrives, most);
      const lacks = wanted - going;
      // What goes on pushing shows where the boat is not to go anywhere, or does not come.
      const comes = Math.sign(wanted) * going > ON_STICK.comes * most;
      if (Math.abs(wanted) < most || (k !== 2 && !comes))
        row[HELD + k] = within(
          row[HELD + k]! + ON_STICK.learns * lacks,
          ON_STICK.most * answers[k],
        );
      const share = (ON_STICK.gain * lacks + row[HELD + k]!) / Math.max(1e-6, answers[k]);
      return notched(share, Math.abs(lacks) > ON_STICK.lacks * most);
    };
    row[AHEAD] = push(eye * far.x, ahead + Math.sign(ahead) * fast, ON_STICK.speed, 0);
    row[ASIDE] = push(eye * far.y, aside + Math.sign(aside) * fast, ON_STICK.aside, 1);
    row[TWIST] = push(off, motion[R]!, ON_STICK.rate, 2);
    const left = eye * Math.sqrt(far.x * far.x + far.y * far.y);
    const speed = Math.sqrt(ahead * ahead + aside * aside);
    const lies = left <= this.to.within && Math.abs(off) <= headingWithin && speed < ON_STICK.still;
    row[LIES] = lies ? row[LIES]! + 1 : 0;
    hand.done = row[LIES]! >= ON_STICK.looks;
  }

  protected act(state: SimState): void {
    const { hand, joystick } = state;
    const { row } = hand;
    Object.assign(joystick, { active: true, surge: row[AHEAD]!, sway: row[ASIDE]! });
    joystick.yaw = row[TWIST]!;
    joystick.looksIn = 0;
  }
}

/** Has the boat pushed somewhere by its joystick from now on, and kept there. */
export function pushTo(state: SimState, to: OnStick): void {
  watchWith(state, new StickHand(to));
}
