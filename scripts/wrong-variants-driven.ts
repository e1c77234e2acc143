import type { WrongVariant } from './wrong-variant';

/** Mistakes in takes driven by hand and in looking back over them. */
export const DRIVEN_VARIANTS: readonly WrongVariant[] = [
  {
    name: 'orders of a recording that act a step late',
    file: 'src/core/drive/drive.ts',
    find: 'inputs[next]!.timestep <= this.timesteps',
    put: 'inputs[next]!.timestep < this.timesteps',
  },
  {
    name: 'a thruster that has quit and answers still',
    file: 'src/core/drive/manual-controller.ts',
    find: 'this.dead.thrusters.has(order.thruster)',
    put: 'this.dead.thrusters.has(-1)',
  },
  {
    name: 'a current that turns and runs her along at once',
    file: 'src/core/simulation/turn-current.ts',
    find: 'motion[U]! -= byEast * s + byNorth * c;',
    put: 'motion[U]! -= 0 * (byEast * s + byNorth * c);',
  },
  {
    name: 'a gust that does not blow over',
    file: 'src/core/drive/surprises.ts',
    find: 'Float64Array.from([1, 1 + by, 1 + by, 1])',
    put: 'Float64Array.from([1, 1 + by, 1 + by, 1 + by])',
  },
  {
    name: 'somebody under way who is run through',
    file: 'src/core/drive/drive.ts',
    find: 'if (this.gapTo(one) >= 0) continue;',
    put: 'if (this.gapTo(one) >= -1000) continue;',
  },
  {
    name: 'a slack line that is thought to come taut never',
    file: 'src/core/simulation/line-rates.ts',
    find: 'return slack <= 0 || stretched2 > slack * slack;',
    put: 'return false;',
  },
  {
    name: 'a late order undone to the other side',
    file: 'src/core/debrief/differences.ts',
    find: 'const by = Math.round(change.late / TIMESTEP_S);',
    put: 'const by = -Math.round(change.late / TIMESTEP_S);',
  },
  {
    name: 'places that are held against each other by the clock',
    file: 'src/core/debrief/along.ts',
    find: 'return to.trace.time[there]! + since;',
    put: 'return time + 0 * (there + since);',
  },
  {
    name: 'no pause in neutral that is long enough',
    file: 'src/core/debrief/faults/no-pause.ts',
    find: 'pause < wanted',
    put: 'pause < -wanted',
  },
  {
    name: 'a wheel that may follow the gear',
    file: 'src/core/debrief/faults/gear-before-steering.ts',
    find: 'if (turned < WHEEL_WANTED',
    put: 'if (turned < 10 * TURNED',
  },
];
