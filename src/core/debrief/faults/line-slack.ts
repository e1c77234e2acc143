import { MADE } from '../../holding';
import { cos, sin } from '../../math';
import {
  SLACK_UNSEEN_S,
  SLACK_SHARE,
  LEAST_SLACK_M,
  HAD_HELD_SHARE,
  HAD_HELD_WITHIN_S,
} from '../../policy';
import { seenTo } from './seen-to';
import type { FaultRule, Finding } from './rule';

/** A line that had held the boat come slack, by so much, and nobody saw to it. */
interface Figures {
  readonly line: number;
  readonly slack: number;
  readonly seconds: number;
}

/** A line that held the boat, made fast or on turns, come slack by more than it swing, and nobody saw to it. */
export const lineSlack: FaultRule<'line slack', Figures> = {
  id: 'line slack',
  find({ trace, orders, input, world }) {
    const { time, x, y, heading } = trace;
    const found: Finding<Figures>[] = [];
    (input.rigging?.lines ?? []).forEach(({ from, boat = 0 }, line) => {
      const columns = trace.lines[line];
      if (boat !== 0 || !columns) return;
      const { tension, made, length, endX, endY } = columns;
      const breaks = world.lines.breaks[line] ?? Infinity;
      const slackAt = (i: number) => {
        const [s, c] = [sin(heading[i]!), cos(heading[i]!)];
        const dx = endX[i]! - (x[i]! + from.x * s + from.y * c);
        const dy = endY[i]! - (y[i]! + from.x * c - from.y * s);
        return length[i]! - Math.sqrt(dx * dx + dy * dy);
      };
      let held = -Infinity;
      let begins = -1;
      let most = 0;
      const close = (i: number) => {
        const from = begins < 0 ? 0 : time[begins]!;
        const seconds = begins < 0 ? 0 : time[i]! - from;
        const much = most > Math.max(LEAST_SLACK_M, SLACK_SHARE * length[Math.max(0, begins)]!);
        if (
          begins >= 0 &&
          much &&
          seconds >= SLACK_UNSEEN_S &&
          !seenTo(orders, line, from, SLACK_UNSEEN_S)
        )
          found.push({
            time: from,
            until: time[i]!,
            figures: { line, slack: most, seconds },
          });
        begins = -1;
        most = 0;
      };
      for (let i = 0; i < tension.length; i++) {
        const on = made[i] === MADE.FAST || made[i] === MADE.TURNED;
        if (on && tension[i]! > HAD_HELD_SHARE * breaks) held = time[i]!;
        const slack = on && tension[i] === 0;
        if (!slack) close(i);
        else if (begins >= 0 || time[i]! - held <= HAD_HELD_WITHIN_S) {
          if (begins < 0) begins = i;
          most = Math.max(most, slackAt(i));
        }
      }
      close(tension.length - 1);
    });
    return found;
  },
};
