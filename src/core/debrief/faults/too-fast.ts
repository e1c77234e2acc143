import { nameOfThing } from '../../monitors';
import { TWO_FAULTS_APART_S } from '../../policy';
import { overruns } from './stopping';
import type { FaultRule, Finding } from './rule';

/** Faster than the room ahead allows. */
interface Figures {
  readonly speed: number;
  readonly room: number;
  readonly needs: number;
  readonly what: string | null;
}

/** Way on that could not be taken off in the room ahead, told at its worst. */
export const tooFast: FaultRule<'too fast for the room', Figures> = {
  id: 'too fast for the room',
  grave: true,
  find(review) {
    const found: Finding<Figures>[] = [];
    for (const { time, speed, room, needs, obstacle } of overruns(review)) {
      const last = found.at(-1);
      const what = nameOfThing(review.world, obstacle);
      const fault: Finding<Figures> = {
        time,
        until: time,
        figures: { speed, room, needs, what },
      };
      if (!last || time - last.until > TWO_FAULTS_APART_S) found.push(fault);
      else {
        const worse = needs - room > last.figures.needs - last.figures.room;
        found[found.length - 1] = {
          ...(worse ? { ...fault, time: last.time } : last),
          until: time,
        };
      }
    }
    return found;
  },
};
