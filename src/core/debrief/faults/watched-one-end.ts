import { alongAt, sampleAt } from '../context';
import type { HullPart, TouchGrade } from '../../monitors';
import { EYES_ON_ONE_END_MPS, EYES_ON_ONE_END_S } from '../../policy';
import type { FaultRule } from './rule';

const FORWARD = /bow/;
const AFT = /stern|quarter/;

/** The end nobody was looking at came nearest, or touched. */
interface Figures {
  readonly part: HullPart;
  readonly what: string;
  readonly grade: TouchGrade;
  readonly speed: number;
}

/** A touch that was no soft one at the end that was not being driven with: the stern going ahead, the bow going astern. */
export const watchedOneEnd: FaultRule<'watched one end', Figures> = {
  id: 'watched one end',
  find({ run, trace, driving }) {
    return run.touches.flatMap(({ time, part, name, grade, speed }) => {
      if (grade === 'soft') return [];
      const i = sampleAt(trace, time);
      const before = sampleAt(trace, Math.max(0, time - EYES_ON_ONE_END_S));
      const way = alongAt(trace, before) || alongAt(trace, i);
      const ahead = way > EYES_ON_ONE_END_MPS || drove(driving, time, 1);
      const astern = way < -EYES_ON_ONE_END_MPS || drove(driving, time, -1);
      const unseen =
        (AFT.test(part) && ahead && !astern) || (FORWARD.test(part) && astern && !ahead);
      if (!unseen) return [];
      const figures = { part, what: name, grade, speed };
      return [{ time, until: time, figures }];
    });
  },
};

const drove = (
  driving: Parameters<typeof watchedOneEnd.find>[0]['driving'],
  time: number,
  gear: 1 | -1,
) =>
  driving.some(
    (one) => one.gear === gear && one.from <= time && one.to >= time - EYES_ON_ONE_END_S,
  );
