import { LINE, MADE } from '../holding';
import {
  ANCHOR_LET_GO_S,
  CHAIN_RUNS_OUT_M,
  CHAIN_HANGS_SHARE,
  HEAVES_FOR_S,
  WINCH_MPS,
  LOOKS_S,
} from '../policy';
import { lineAt, boatOf, lineLimits, pointOnWater } from '../simulation';
import type { Deck } from './deck';
import type { CrewMember, Job } from './crew-member';
/** The line of an anchor, and how much of it is to run out; see orders/anchor. */
interface Anchor {
  readonly line: number;
  readonly length: number | null;
}

/** Drops an anchor under the bow: its chain runs out as the boat goes, to a length, and is held there. */
export function* dropAnchor(crew: Deck, member: CrewMember, { line, length }: Anchor): Job {
  const { at, from, anchor, height } = crew.rigging.lines[line]!;
  if (!(yield* crew.goTo(member, at))) return crew.tellLine(line, 'not passed');
  if (crew.get(line, LINE.MADE) !== MADE.ABOARD || !anchor)
    return crew.tellLine(line, 'not passed');
  yield crew.now + ANCHOR_LET_GO_S;
  const { state } = boatOf(crew.state, crew.world, lineAt(crew.world, line).boat);
  const { x, y } = pointOnWater(state, from.x, from.y);
  const { total, weight } = lineLimits(crew.world, line);
  const down = anchor.depth + height;
  if (total <= down) return crew.tellLine(line, 'not passed');
  crew.set(line, LINE.ON, 0);
  crew.set(line, LINE.EAST, x);
  crew.set(line, LINE.NORTH, y);
  crew.set(line, LINE.RISE, -down);
  crew.set(line, LINE.LENGTH, down);
  crew.set(line, LINE.DRAGGED, 0);
  crew.set(line, LINE.HAUL, 0);
  crew.set(line, LINE.UNTIL, Math.max(down, Math.min(total, length ?? total)));
  crew.set(line, LINE.HOLD, Math.min(CHAIN_RUNS_OUT_M, CHAIN_HANGS_SHARE * down) * weight);
  crew.set(line, LINE.MADE, MADE.TURNED);
  crew.tender[line] = null;
  crew.tellLine(line, 'anchor down');
}

/** Heaves an anchor in, by the windlass it is led to or by hand, until it is up. */
export function* weighAnchor(crew: Deck, member: CrewMember, { line }: Anchor): Job {
  const { at, winch } = crew.rigging.lines[line]!;
  if (!(yield* crew.goTo(member, at))) return crew.tellLine(line, 'not let go');
  const down = () => crew.get(line, LINE.HOLD) > 0;
  if (!down()) return crew.tellLine(line, 'not let go');
  crew.set(line, LINE.MADE, MADE.HELD);
  crew.set(line, LINE.HOLD, winch === null ? member.pull : Infinity);
  crew.set(line, LINE.PULL, winch ?? member.pull);
  crew.set(line, LINE.HAUL, WINCH_MPS);
  crew.set(line, LINE.UNTIL, 0);
  const deadline = crew.now + HEAVES_FOR_S;
  while (crew.get(line, LINE.MADE) === MADE.HELD && crew.now < deadline) yield crew.now + LOOKS_S;
  if (crew.get(line, LINE.MADE) === MADE.ABOARD) return crew.tellLine(line, 'anchor up');
  crew.set(line, LINE.HAUL, 0);
  crew.tellLine(line, 'not let go');
}
