import { orderThruster } from '../../simulation';
import { helmOrder } from './definition';

/** A tunnel thruster: −1 to 1 of its power, positive pushing to starboard. */
export const thruster = helmOrder('thruster', {
  parameters: {
    thruster: { kind: 'thruster' },
    power: { kind: 'share', least: -1, most: 1, lateral: true },
  },
  channel: ({ thruster: which }) => ({ of: 'thruster', thruster: which }),
  unlike: (a, b) =>
    Math.sign(a.power) === Math.sign(b.power) ? Math.abs(a.power - b.power) : Infinity,
  apply({ thruster: which, power }, state, { craft }) {
    const one = state.thrusters[which];
    const spec = craft.spec.thrusters[which];
    if (one && spec) orderThruster(one, spec, power);
  },
});
