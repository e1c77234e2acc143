import { assembleCraft } from '../boat';
import {
  felt,
  G,
  goOn,
  GUESS_SIZE,
  GUESS_STEP_S,
  learn,
  LEARNT,
  lookAhead,
  order,
  outlookFor,
  putLevers,
  roomOf,
  type Aim,
  type Choice,
  type Outlook,
} from '../look-ahead';
import {
  checkGoal,
  Crew,
  NO_RIGGING,
  RunLoop,
  type Controller,
  type Finish,
  type Run,
  type RunEvent,
  type RunInput,
} from '../plan';
import { PSI, R, U, V, X, Y, type SimState, type World } from '../simulation';

/** Way it has at the most, m/s. */
const MOST_MPS = 1.5;
/** How often the reference helm looks, s. */
export const LOOKS_EVERY_S = 1.25;
/** One look of the reference helm: when, what it did, and what it took that to cost, s. */
export interface Looked {
  readonly time: number;
  readonly levers: string;
  readonly wheel: number;
  readonly cost: number;
}

/** A helm that sees the boat as it is and looks ahead with the boat as it is told: what is possible at all. */
class ReferenceHelm implements Controller {
  readonly events: RunEvent[] = [];
  readonly crew: Crew;
  readonly brokenOff = false;
  readonly current = -1;
  finish: Finish | null = null;
  private nextLook = 0;
  private readonly now = new Float64Array(GUESS_SIZE);
  private readonly expected = new Float64Array(GUESS_SIZE);
  private readonly learnt = new Float64Array(LEARNT);
  private choice: Choice | null = null;
  private clearance = Infinity;
  readonly looks: Looked[] = [];

  constructor(
    private readonly input: RunInput,
    private readonly about: Outlook,
    private readonly state: SimState,
    private readonly world: World,
  ) {
    this.crew = new Crew(input.rigging ?? NO_RIGGING, state, world, this.events);
    this.nextLook = state.time;
  }

  nextMoment(): number {
    return this.nextLook;
  }
  level(): number {
    return -1;
  }
  noteClearance(clearance: number): void {
    this.clearance = clearance;
  }
  takeCues(): void {}
  stopForTime(): void {
    this.finish ??= 'out of time';
  }

  takeMoments(): boolean {
    if (this.state.time + 1e-9 < this.nextLook) return false;
    this.look();
    this.nextLook = this.state.time + LOOKS_EVERY_S;
    return false;
  }

  /** Is it there? */
  private arrived(): boolean {
    const { goal, rigging } = this.input;
    const { field, deck } = this.about.prospect;
    const { motion } = this.state;
    if (goal.is === 'clear')
      return roomOf(field, deck, motion[X]!, motion[Y]!, motion[PSI]!) > 1.1 * goal.distance;
    return checkGoal(goal, this.state, this.world, this.clearance, rigging ?? NO_RIGGING).every(
      ({ found, limit, met, what }) => met && (what !== 'speed' || found < 0.6 * limit),
    );
  }

  private look(): void {
    const { state, now, expected, learnt } = this;
    const { prospect, weathering } = this.about;
    if (this.arrived()) {
      this.finish = 'ended';
      return;
    }
    const { motion } = state;
    const seen = [motion[X]!, motion[Y]!, motion[PSI]!, motion[U]!, motion[V]!, motion[R]!];
    for (let j = 0; j < 6; j++) now[j] = seen[j]!;
    if (this.choice) learn(learnt, now, expected, LOOKS_EVERY_S);
    now[G.WHEEL] = state.angles[0]! / (this.world.craft.limits[0]! || 1);
    // What the levers stand at it knows.
    for (let j = G.TURNS; j < GUESS_SIZE; j++) now[j] = expected[j]!;
    const feeling = felt(weathering, learnt);
    this.choice = lookAhead(prospect, feeling, now, this.choice);
    const { levers, wheel } = this.choice;
    putLevers(state, this.world, prospect.feel.levers[levers]!, wheel);
    this.looks.push({
      time: state.time,
      levers: prospect.feel.levers[levers]!.name,
      wheel,
      cost: this.choice.cost,
    });
    expected.set(now);
    order(expected, prospect.feel, levers);
    goOn(expected, prospect.feel, feeling, wheel, Math.round(LOOKS_EVERY_S / GUESS_STEP_S));
  }
}

/**
 * A manoeuvre as the reference helm handles it, given up at its first hard touch.
 *
 * @param about what it reckons with
 * @param varied the manoeuvre as it turns out to be
 */
export function referenceRun(
  about: Outlook,
  varied: RunInput,
): { readonly run: Run; readonly looks: readonly Looked[] } {
  let looks: readonly Looked[] = [];
  const loop = new RunLoop(
    varied,
    (state, world) => {
      const helm = new ReferenceHelm(varied, about, state, world);
      looks = helm.looks;
      return helm;
    },
    { tillHard: true },
  );
  return { run: loop.play(), looks };
}

/** What the reference helm reckons with for a manoeuvre: the boat as it is told, and the mean wind. */
export function referenceOutlook(input: RunInput): Outlook {
  const craft = input.craft?.spec === input.boat ? input.craft : assembleCraft(input.boat);
  const { weather, start, goal, shore } = input;
  return outlookFor({ craft, weather, start }, shore!, goal as Aim, {
    thrusters: true,
    most: MOST_MPS,
    late: 0,
  });
}
