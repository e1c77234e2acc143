import { LINE, LINE_COLUMNS, MADE } from '../holding';
import { sineCosine, TURN, TURN_COLUMNS } from '../math';
import { LOOSE_END_STREAMS_MPS, PROPELLER_ROOM_M } from '../policy';
import {
  lineAt,
  lineEnd,
  pointOnWater,
  PSI,
  U,
  X,
  Y,
  type SimState,
  type World,
} from '../simulation';
import { between, offSegment } from './crew-member';
import { type RiggedLine } from './rigging';

/**
 * Lines that can get into a propeller that turns: one in the water, the bight of a slack one, a ground line on its way
 * forward along the boat's side. Looked at after every step, so nothing is made unless a line may reach.
 */
export class Fouling {
  /** The boat's own lines by their place among its lines, chain left out: it sinks. What another boat's lie about is not followed. */
  private readonly own: readonly { readonly line: number; readonly row: number }[];
  /** Way from each line's cleat to each propeller, m. */
  private readonly reach: readonly (readonly number[])[];
  /** Way from midships to each propeller, m. */
  private readonly fromMidships: readonly number[];
  /** Columns TURN. */
  private readonly turn = new Float64Array(TURN_COLUMNS);
  /** Ground lines on their way forward. */
  private readonly walked = new Set<number>();

  constructor(
    private readonly lines: readonly RiggedLine[],
    private readonly world: World,
  ) {
    const { drives } = world.craft.spec;
    this.own = lines.flatMap(({ anchor }, line) => {
      const { boat, row } = lineAt(world, line);
      return boat > 0 || anchor ? [] : [{ line, row }];
    });
    this.fromMidships = drives.map((drive) => between({ x: 0, y: 0 }, drive));
    this.reach = this.own.map(({ line }) =>
      drives.map((drive) => between(lines[line]!.from, drive)),
    );
  }

  /** A ground line is walked forward along the boat's side, or is not any more. */
  walks(line: number, so: boolean): void {
    if (so) this.walked.add(line);
    else if (this.walked.size > 0) this.walked.delete(line);
  }

  /** The first line that gets to a propeller, or −1. */
  caught(state: SimState): number {
    const { engines } = state;
    for (let drive = 0; drive < engines.length; drive++) {
      if (engines[drive]!.engaged === 0) continue;
      for (let i = 0; i < this.own.length; i++) {
        if (this.reaches(state, i, drive)) return this.own[i]!.line;
      }
    }
    return -1;
  }

  private reaches(state: SimState, i: number, drive: number): boolean {
    const { line, row } = this.own[i]!;
    const at = row * LINE_COLUMNS;
    const made = state.lines[at + LINE.MADE]!;
    if (made === MADE.ABOARD || made === MADE.PARTED) return false;
    // A ground line on its way forward has its tail's place; a line not yet on has none.
    if (made === MADE.PASSING) return this.walked.has(line) && this.walkedPast(state, i, drive);
    const spare = state.lines[at + LINE.LENGTH]! - this.reach[i]![drive]!;
    if (spare <= 0) return false;
    if (made === MADE.TRAILING) return !this.currentsAway(state, i, drive);
    return this.nearer(state, i, drive, spare);
  }

  /** A loose end currents away from where the boat goes. */
  private currentsAway(state: SimState, i: number, drive: number): boolean {
    const surge = state.motion[U]!;
    const abaft = this.world.craft.spec.drives[drive]!.x - this.lines[this.own[i]!.line]!.from.x;
    return surge * abaft > 0 && Math.abs(surge) > LOOSE_END_STREAMS_MPS;
  }

  /** Is a line's other end nearer to a propeller than so far? */
  private nearer(state: SimState, i: number, drive: number, far: number): boolean {
    const { line, row } = this.own[i]!;
    const at = row * LINE_COLUMNS;
    const { x, y } = this.world.craft.spec.drives[drive]!;
    if (state.lines[at + LINE.ON] === 0) {
      // No nearer than midships is, less the way from there to the propeller: most are out of reach by that.
      const east = state.lines[at + LINE.EAST]! - state.motion[X]!;
      const north = state.lines[at + LINE.NORTH]! - state.motion[Y]!;
      const least = far + this.fromMidships[drive]!;
      if (east * east + north * north > least * least) return false;
      const { turn } = this;
      turn[TURN.ANGLE] = state.motion[PSI]!;
      sineCosine(turn);
      const ahead = east * turn[TURN.SIN]! + north * turn[TURN.COS]! - x;
      const starboard = east * turn[TURN.COS]! - north * turn[TURN.SIN]! - y;
      return ahead * ahead + starboard * starboard < far * far;
    }
    return between(pointOnWater(state, x, y), lineEnd(state, this.world, line)) < far;
  }

  /** It lies along the boat's side, slack from the quay to the hand: is the propeller near that? */
  private walkedPast(state: SimState, i: number, drive: number): boolean {
    const { line, row } = this.own[i]!;
    const at = row * LINE_COLUMNS;
    const tail = { x: state.lines[at + LINE.EAST]!, y: state.lines[at + LINE.NORTH]! };
    const { at: hand } = this.lines[line]!;
    const { x, y } = this.world.craft.spec.drives[drive]!;
    const screw = pointOnWater(state, x, y);
    return (
      offSegment(tail, pointOnWater(state, hand.x, hand.y), screw.x, screw.y) < PROPELLER_ROOM_M
    );
  }
}
