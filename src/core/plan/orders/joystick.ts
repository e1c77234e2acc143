import { helmOrder } from './definition';

/** A joystick that moves all there is: each way −1 to 1 of what the boat can do. All at nought lets go. */
export const joystick = helmOrder('joystick', {
  parameters: {
    ahead: { kind: 'share', least: -1, most: 1, fallback: 0 },
    /** Positive to starboard. */
    sideways: { kind: 'share', least: -1, most: 1, lateral: true, fallback: 0 },
    /** Positive turns the bow to starboard. */
    twist: { kind: 'share', least: -1, most: 1, lateral: true, fallback: 0 },
  },
  needs: 'joystick',
  keepsJoystick: true,
  channel: () => ({ of: 'joystick' }),
  unlike: (a, b) =>
    Math.abs(a.ahead - b.ahead) + Math.abs(a.sideways - b.sideways) + Math.abs(a.twist - b.twist),
  apply({ ahead, sideways, twist }, state, { craft }) {
    const stick = state.joystick;
    stick.active = craft.spec.joystick;
    stick.surge = ahead;
    stick.sway = sideways;
    stick.yaw = twist;
    stick.looksIn = 0;
    state.helm.active = false;
    state.hand.active = false;
  },
});
