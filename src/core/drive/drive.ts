import { RunLoop, type Cue, type Order, type RunInput, type RunWatch } from '../plan';
import { groundSpeed, PSI, X, Y, type SimState, type World } from '../simulation';
import { ManualController } from './manual-controller';
import { FaultInjector, withSurprises } from './surprises';
import { trafficGap, type Traffic } from './traffic';
import {
  trafficOf,
  type DriveEnd,
  type DriveInput,
  type Driven,
  type Recording,
  type Surprise,
} from './types';

/** Longest a manoeuvre can be driven, s. */
export const LONGEST_DRIVE_S = 1800;

/** What is driven is no shorter than this just because the plan is, s. */
const longEnough = (input: RunInput): RunInput => ({ ...input, limit: LONGEST_DRIVE_S });

const NOTHING: Recording = { inputs: [], timesteps: 0, end: null, surprises: [], skips: [] };

/**
 * A manoeuvre driven by hand, step by step of the grid, on the same core as a plan is played on. What was given is
 * recorded; the same recording gives the same run, bit for bit.
 */
export class Drive {
  private readonly run: RunLoop;
  private readonly faults: FaultInjector;
  /** The manoeuvre with what surprises make of wind and place. */
  readonly input: RunInput;
  /** Everybody else under way. */
  readonly traffic: readonly Traffic[];
  private controller!: ManualController;
  private readonly given: DriveInput[] = [];
  private readonly skips: number[] = [];
  private timesteps = 0;
  private ended: DriveEnd | null = null;

  /** Begins at the start, without what was done in a recording; `follow` does that. */
  constructor(
    input: RunInput,
    private readonly surprises: readonly Surprise[] = [],
    watch: RunWatch | null = null,
  ) {
    const surprised = withSurprises(longEnough(input), surprises);
    this.input = surprised;
    const conducted = (state: SimState, world: World) => {
      this.controller = new ManualController(surprised, state, world);
      return this.controller;
    };
    this.run = new RunLoop(surprised, conducted, { watch });
    this.traffic = trafficOf({ surprises });
    this.faults = new FaultInjector(surprises, this.run.world);
    this.run.begin();
  }

  /** Does again what was done, up to its end or to `steps`. */
  follow({ inputs, timesteps: steps, end, skips }: Recording, upTo = steps): void {
    let next = 0;
    let skip = 0;
    const give = () => {
      for (; skip < skips.length && skips[skip]! <= this.timesteps; skip++) this.passOn();
      while (next < inputs.length && inputs[next]!.timestep <= this.timesteps)
        this.give(inputs[next++]!.order);
    };
    while (this.timesteps < Math.min(steps, upTo) && !this.over) {
      give();
      this.stepOn();
    }
    // What was given at the last moment, and nothing came of any more, is part of it too.
    if (upTo >= steps) {
      give();
      if (end) this.close(end);
    }
  }

  /** Orders given now act from this step on. */
  give(order: Order): void {
    if (this.over) return;
    this.given.push({ timestep: this.timesteps, order });
    this.controller.give(order);
  }

  /** The helm has done with the step of the plan that comes next, cue or no cue. */
  passOn(): void {
    if (this.over) return;
    this.skips.push(this.timesteps);
    this.controller.passOn();
  }

  stepOn(): void {
    if (this.over) return;
    this.faults.befall(this.state, this.controller);
    this.run.stepOn();
    this.timesteps += 1;
    this.lookForTraffic();
  }

  /** Whoever is run into does not give way as a boat on its lines does: the run is over. */
  private lookForTraffic(): void {
    for (const one of this.traffic) {
      if (this.gapTo(one) >= 0) continue;
      this.controller.strike(one.name, groundSpeed(this.state, this.world));
      return;
    }
  }

  /** Distance to somebody else under way, m. */
  gapTo(traffic: Traffic): number {
    const { motion, time } = this.state;
    const her = { x: motion[X]!, y: motion[Y]!, heading: motion[PSI]! };
    return trafficGap(traffic, time, this.world.craft.spec.hull.deck, her);
  }

  close(end: DriveEnd): void {
    if (this.over) return;
    this.ended = end;
    this.controller.close(end === 'done' ? 'ended' : 'broke off');
  }

  /** Has it ended, by itself or because the helm said so? */
  get over(): boolean {
    return this.controller.finish !== null;
  }

  get timestep(): number {
    return this.timesteps;
  }
  get state(): SimState {
    return this.run.state;
  }
  get world(): World {
    return this.run.world;
  }
  get helm(): ManualController {
    return this.controller;
  }
  get live(): RunLoop {
    return this.run;
  }
  get nextCue(): Cue {
    return this.controller.nextCue();
  }

  recording(): Recording {
    return {
      inputs: [...this.given],
      timesteps: this.timesteps,
      end: this.ended,
      surprises: this.surprises,
      skips: [...this.skips],
    };
  }

  /** What the boat shows; nothing can be driven on after it. */
  finish(): Driven {
    return { run: this.run.end(), planDone: this.controller.planDone };
  }
}

/**
 * Plays a driven run again, to its end or to as many of its steps as are asked for.
 *
 * @param watch is shown the boat at every sample
 */
export function playRecording(
  input: RunInput,
  recording: Recording = NOTHING,
  upTo = recording.timesteps,
  watch: RunWatch | null = null,
): Driven {
  const drive = new Drive(input, recording.surprises, watch);
  drive.follow(recording, upTo);
  return drive.finish();
}

/** What of a record, as the core or as the user has it, says when something was done. */
interface Cut {
  readonly inputs: readonly { readonly timestep: number }[];
  readonly timesteps: number;
  readonly end: DriveEnd | null;
  readonly skips: readonly number[];
}

/** The same as it stood at a step: what came after it is forgotten. */
export function cutAt<R extends Cut>(recording: R, step: number): R {
  if (step >= recording.timesteps && recording.end === null) return recording;
  return {
    ...recording,
    inputs: recording.inputs.filter((input) => input.timestep < step),
    skips: recording.skips.filter((skip) => skip < step),
    timesteps: Math.min(step, recording.timesteps),
    end: null,
  };
}
