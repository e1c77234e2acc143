import type { Change } from '@/core/debrief';
import { TIMESTEP_S } from '@/core/simulation';
import { givenText } from '../plan/orders';
import type { About } from '../plan/part-view';
import { clock } from './units';

const SURPRISES = {
  gust: 'a gust',
  veer: 'the wind’s veering',
  current: 'the current’s turning',
  'no astern': 'the gear that would not go astern',
  'thruster quits': 'the thruster that quit',
  'joystick fails': 'the joystick that failed',
  'line late': 'the line that came late',
  'line missed': 'the line that was missed',
  traffic: 'somebody in the way',
} as const;

/** What was otherwise, in one sentence: "neutral came 3.1 s later, at 0:12". */
export function changeText(change: Change, about: About): string {
  const at = (step: number) => clock(step * TIMESTEP_S);
  switch (change.is) {
    case 'moved': {
      const by = `${Math.abs(change.late).toFixed(1)} s ${change.late > 0 ? 'later' : 'sooner'}`;
      return `${givenText(change.input.order, about)} came ${by}, at ${at(change.input.timestep)}`;
    }
    case 'other':
      return `${givenText(change.input.order, about)} at ${at(change.input.timestep)}, not ${givenText(change.reference.order, about)}`;
    case 'missing':
      return `no ${givenText(change.reference.order, about)}, which was due at ${clock(Math.max(0, change.time))}`;
    case 'extra':
      return `${givenText(change.input.order, about)} besides, at ${at(change.input.timestep)}`;
    case 'wind':
      return 'the wind was another';
    case 'current':
      return 'the current was another';
    case 'start':
      return 'it began from another place or heading';
    case 'surprise':
      return change.in === 'other'
        ? `${SURPRISES[change.surprise.is]} at ${clock(change.surprise.at)}`
        : `without ${SURPRISES[change.surprise.is]} of ${clock(change.surprise.at)}`;
  }
}
