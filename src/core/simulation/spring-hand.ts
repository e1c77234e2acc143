import { GROUND, LINE, MADE } from '../holding';
import { FIRM_WAY_THROTTLE, LIES_ALONGSIDE_MPS, ON_SPRING, THROTTLE_NOTCH } from '../policy';
import { cos, sin, wrapHalfTurn } from '../math';
import { orderRudder } from './actuators';
import { orderAll } from './hand';
import { lineColumn, lineEnd, lineNow } from './lines-now';
import { groundOf, pointOnWater } from './readings';
import { PSI, R, type Gear, type SimState } from './state';
import { begin, LOOKS_EVERY_S, WatchingHand, watchWith } from './watching-hand';
import type { World } from './world';

/** Where a boat is to be brought on a line, and how whoever does it sees it. SI, radians. */
export interface OnSpring {
  readonly line: number;
  readonly point: { readonly x: number; readonly y: number };
  readonly mark: { readonly x: number; readonly y: number };
  readonly within: number;
  readonly heading: number;
  readonly headingWithin: number;
  /** Distances are taken for so many times what they are, angles and speeds for so much more; and what is done comes so late, s. */
  readonly eye: number;
  readonly angle: number;
  readonly fast: number;
  readonly late: number;
}

/** Figures kept from look to look: which gear and wheel, throttle, looks without closing, looks lying there, and how far off the nearer end was, whether the line has been taut, and whether it was motored on before. */
const [GEAR, WHEEL, THROTTLE, WAITED, LIES, OFF, TAUT, BEGUN] = [1, 2, 3, 4, 5, 6, 7, 8] as const;

/**
 * Somebody who motors the boat gently ahead on a spring until it lies alongside: the wheel from the quay, less as the bow comes off it, a little more throttle where
 * the boat does not come in, and out of gear where its nearer end comes in too fast. Astern only to stop before the spring comes taut: later it makes it slack.
 */
export class SpringHand extends WatchingHand {
  constructor(private readonly to: OnSpring) {
    super(to.late);
  }

  protected act(state: SimState, world: World): void {
    const { row } = state.hand;
    orderAll(state, world, row[GEAR] as Gear, row[GEAR] === 1 ? row[THROTTLE]! : 0);
    orderRudder(state, world.craft, row[WHEEL]! * world.craft.limits[0]!);
  }

  protected see(state: SimState, world: World): void {
    const { line, heading, angle, fast, late } = this.to;
    const { hand, motion } = state;
    const { row } = hand;
    // Out of gear, and from the beginning once it is on again.
    if (!isHolding(state, world, line)) {
      hand.done = false;
      return begin(row);
    }
    const off = wrapHalfTurn(motion[PSI]! + angle - heading);
    const { side, nearest } = nearerEnd(state, world, line, heading);
    const since = row[BEGUN] === 0 ? Infinity : Math.max(LOOKS_EVERY_S, late + 0.1);
    const closing = (row[OFF]! - nearest) / since + (since < Infinity ? fast : 0);
    row[OFF] = nearest;
    row[LIES] = this.lies(state, world, off) ? row[LIES]! + 1 : 0;
    hand.done = row[LIES]! >= ON_SPRING.lies;
    row[WAITED] = closing > ON_SPRING.closing || row[GEAR] !== 1 ? 0 : row[WAITED]! + 1;
    if (row[WAITED]! >= ON_SPRING.looks && !hand.done) {
      row[WAITED] = 0;
      row[THROTTLE] = Math.min(FIRM_WAY_THROTTLE, row[THROTTLE]! + THROTTLE_NOTCH);
    }
    if (closing > ON_SPRING.most) row[THROTTLE] = Math.max(0, row[THROTTLE]! - THROTTLE_NOTCH);
    // It comes taut with hardly any way on, or that throws the bow in.
    const slack = lineColumn(state, world, line, LINE.LENGTH) - lineNow(state, world, line).span;
    if (slack < ON_SPRING.taut) row[TAUT] = 1;
    const way = slack < ON_SPRING.taut ? 0 : groundOf(state, world)[GROUND.SURGE]! + fast;
    const stops = row[TAUT] === 0 && way > ON_SPRING.stops;
    row[GEAR] = stops ? -1 : closing > ON_SPRING.most || way > ON_SPRING.creeps ? 0 : 1;
    const turned = (off + ON_SPRING.ahead * motion[R]!) / ON_SPRING.hardOver;
    row[WHEEL] = Math.max(-1, Math.min(1, -side * ON_SPRING.wheel - turned));
    row[BEGUN] = 1;
  }

  private lies(state: SimState, world: World, off: number): boolean {
    const { point, mark, within, headingWithin, eye } = this.to;
    const at = pointOnWater(state, point.x, point.y);
    const far = Math.sqrt((at.x - mark.x) * (at.x - mark.x) + (at.y - mark.y) * (at.y - mark.y));
    return (
      eye * far <= within &&
      Math.abs(off) <= headingWithin &&
      speedOver(state, world) < 2 * LIES_ALONGSIDE_MPS
    );
  }
}

/** Is a line on ashore, in a hand, on turns or fast? */
function isHolding(state: SimState, world: World, line: number): boolean {
  const made = lineColumn(state, world, line, LINE.MADE);
  return made === MADE.HELD || made === MADE.TURNED || made === MADE.FAST;
}

/** Way over the ground, m/s. */
function speedOver(state: SimState, world: World): number {
  const ground = groundOf(state, world);
  const [ahead, aside] = [ground[GROUND.SURGE]!, ground[GROUND.SWAY]!];
  return Math.sqrt(ahead * ahead + aside * aside);
}

/** Which side of the heading the line leads to, 1 starboard, and how far off what it is made on to the nearer end of the boat is across it, m. */
function nearerEnd(
  state: SimState,
  world: World,
  line: number,
  heading: number,
): { readonly side: 1 | -1; readonly nearest: number } {
  const end = lineEnd(state, world, line);
  const { deck } = world.craft.spec.hull;
  const across = ({ x, y }: { readonly x: number; readonly y: number }) =>
    (end.x - x) * cos(heading) - (end.y - y) * sin(heading);
  const side = across(pointOnWater(state, 0, 0)) < 0 ? -1 : 1;
  let nearest = Infinity;
  for (let i = 0; i < deck.length; i += 2)
    nearest = Math.min(nearest, side * across(pointOnWater(state, deck[i]!, deck[i + 1]!)));
  return { side, nearest };
}

/** Tells the boat's hand to motor alongside on a line from now on. */
export function motorOnLine(state: SimState, to: OnSpring): void {
  state.hand.way = 1;
  watchWith(state, new SpringHand(to));
}
