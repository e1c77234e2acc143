import {
  described,
  Lookout,
  nameOfThing,
  numbersOf,
  type LeastClearance,
  type Touch,
} from '../monitors';
import { GROUND, noClearance } from '../holding';
import type { Cue, Finish, RunEvent } from '../plan';
import { roomAlong } from '../search';
import {
  othersOf,
  groundOf,
  pointOnWater,
  PSI,
  windAt,
  X,
  Y,
  type Gear,
  type Trace,
} from '../simulation';
import type { Drive } from './drive';
import type { TrafficPose } from './traffic';

/** An engine as its lever stands and as it has come to be. */
export interface EngineNow {
  readonly ordered: Gear;
  readonly throttle: number;
  readonly engaged: Gear;
  /** Seconds until what is ordered takes hold; null with nothing pending. */
  readonly engagesIn: number | null;
  readonly rps: number;
}

export interface ThrusterNow {
  readonly ordered: number;
  readonly power: number;
  /** 0 cold … 1 cut out. */
  readonly heat: number;
  readonly cut: boolean;
}

/** How far the next cue of the plan followed still is, in its own measure; null where that cannot be counted down. */
export interface CueLeft {
  readonly value: number;
  readonly unit: 's' | 'rad' | 'm/s' | 'm' | 'N';
}

/** The boat at the helm's hand at one step: what the page draws and says. SI, radians. */
export interface DriveNow {
  readonly timestep: number;
  readonly time: number;
  /** The boat's last few samples, as columns of a run's record: the page draws between them. */
  readonly trace: Trace;
  readonly wheel: { readonly ordered: number; readonly angle: number };
  readonly engines: readonly EngineNow[];
  readonly thrusters: readonly ThrusterNow[];
  /** Does the joystick have the boat, and would it answer? */
  readonly joystick: { readonly active: boolean; readonly dead: boolean };
  readonly helmManned: boolean;
  readonly wind: { readonly from: number; readonly speed: number };
  /** What is nearest about the boat, its own berth left out, the nearest first; nothing further off than twice its length. */
  readonly nearby: readonly LeastClearance[];
  /** The helm's place, m, where the boat points, and what that place does over the ground, m/s. */
  readonly eye: TrafficPose & { readonly east: number; readonly north: number };
  /** Nearest of everybody else under way; null with nobody about. */
  readonly met: { readonly name: string; readonly gap: number } | null;
  /** What of the boat's berth it is nearest to, m; null where it is going to none. */
  readonly berth: { readonly distance: number; readonly name: string } | null;
  /** Told when a gear is put astern: room right astern, m, and what ends it; null for the boat's own length and more. */
  readonly astern: { readonly room: number; readonly name: string | null } | null;
  /** Step of the plan come to, −1 before the first, and how far the next cue is. */
  readonly step: number;
  readonly planDone: boolean;
  readonly cueLeft: CueLeft | null;
  /** What has happened since the step told of before, and the touches since then. */
  readonly events: readonly RunEvent[];
  readonly touches: readonly Touch[];
  readonly finish: Finish | null;
}

/** Samples told of at once: at four times the pace more than one lies between two looks. */
const RECENT = 8;

/** Told again when so much harder. */
const HARDER = 1.25;
const NO_TOUCHES: readonly Touch[] = [];
/** So many things are told of at once, out to so many of the boat's lengths. */
const NEARBY = 4;
const NEARBY_LENGTHS = 2;
const LIES_NOWHERE: ReadonlySet<number> = new Set();

const UNITS: Partial<Record<Cue['is'], CueLeft['unit']>> = {
  after: 's',
  heading: 'rad',
  turned: 'rad',
  speed: 'm/s',
  abeam: 'm',
  within: 'm',
};

/** Looks at a drive, and knows what of it has been told before. */
export class DriveTeller {
  private events = 0;
  /** Speed each touch was last told with: a blow may grow within its first second. */
  private readonly toldSpeeds: number[] = [];
  private readonly wind = new Float64Array(2);
  private readonly lookout: Lookout;
  private readonly found = noClearance();
  /** All that is not the boat's berth. */
  private readonly besides: ReadonlySet<number>;
  private readonly own: ReadonlySet<number>;
  private readonly helm: { readonly x: number; readonly y: number };
  private readonly hasBerth: boolean;
  private wentAstern = false;

  constructor(
    private readonly drive: Drive,
    berth: ReadonlySet<string>,
  ) {
    const { world } = drive;
    this.lookout = new Lookout(world);
    const own = numbersOf(world, berth);
    this.own = own;
    const { points } = world.craft.spec;
    this.helm = points.find(({ name }) => name === 'helm') ?? { x: 0, y: 0 };
    this.hasBerth = own.size > 0;
    const count = world.obstacles.length + othersOf(world).length;
    const all = Array.from({ length: count }, (_, i) => i);
    this.besides = new Set(all.filter((i) => !own.has(i)));
  }

  now(): DriveNow {
    const { drive, wind } = this;
    const { state, world, helm, live } = drive;
    windAt(wind, world.environment, state.time);
    const events = helm.events.slice(this.events);
    this.events = helm.events.length;
    const touches = this.freshTouches();
    return {
      timestep: drive.timestep,
      time: state.time,
      trace: live.recent(RECENT),
      wheel: { ordered: state.ordered[0]!, angle: state.angles[0]! },
      engines: state.engines.map((engine) => ({
        ordered: engine.orderedGear,
        throttle: engine.throttle,
        engaged: engine.engaged,
        engagesIn: engine.engagesIn === Infinity ? null : engine.engagesIn,
        rps: engine.rps,
      })),
      thrusters: state.thrusters.map(({ ordered, power, heat, cut }) => ({
        ordered,
        power,
        heat,
        cut,
      })),
      joystick: { active: state.joystick.active, dead: helm.dead.joystick },
      helmManned: helm.crew.helmManned(),
      wind: { from: wind[0]!, speed: wind[1]! },
      nearby: this.nearby(),
      eye: this.eye(),
      met: this.nearestUnderWay(),
      berth: this.toBerth(),
      astern: this.roomAstern(),
      step: helm.current,
      planDone: helm.planDone,
      cueLeft: this.cueLeft(),
      events,
      touches,
      finish: helm.finish,
    };
  }

  /** Touches not yet told, and those that have come to be much harder than they were told. */
  private freshTouches(): readonly Touch[] {
    const { live } = this.drive;
    if (live.touchCount === 0) return NO_TOUCHES;
    return live.touches.filter((touch, i) => {
      const told = this.toldSpeeds[i];
      if (told !== undefined && touch.speed <= HARDER * told) return false;
      this.toldSpeeds[i] = touch.speed;
      return true;
    });
  }

  private nearby(): LeastClearance[] {
    const { state, world, live } = this.drive;
    const most = NEARBY_LENGTHS * world.craft.spec.hull.length;
    const told: LeastClearance[] = [];
    let skip = this.own;
    while (told.length < NEARBY) {
      const { found } = this;
      this.lookout.look(found, live.simulation, skip);
      const one = described(found, state, world);
      if (!one || one.distance > most) break;
      told.push(one);
      // Another set, not the same grown: what was left out is known again by which set it was.
      skip = new Set([...skip, found.obstacle]);
    }
    return told;
  }

  private eye(): DriveNow['eye'] {
    const { state, world } = this.drive;
    const { x, y } = this.helm;
    const row = groundOf(state, world);
    // That place goes round with the boat.
    const surge = row[GROUND.SURGE]! - row[GROUND.YAW]! * y;
    const sway = row[GROUND.SWAY]! + row[GROUND.YAW]! * x;
    const [s, c] = [row[GROUND.SIN]!, row[GROUND.COS]!];
    return {
      ...pointOnWater(state, x, y),
      heading: state.motion[PSI]!,
      east: surge * s + sway * c,
      north: surge * c - sway * s,
    };
  }

  private nearestUnderWay(): DriveNow['met'] {
    let met: DriveNow['met'] = null;
    for (const one of this.drive.traffic) {
      const gap = this.drive.gapTo(one);
      if (!met || gap < met.gap) met = { name: one.name, gap };
    }
    return met;
  }

  private toBerth(): DriveNow['berth'] {
    if (!this.hasBerth) return null;
    const { world, live } = this.drive;
    this.lookout.look(this.found, live.simulation, this.besides);
    const name = nameOfThing(world, this.found.obstacle);
    return name === null ? null : { distance: this.found.distance, name };
  }

  /** Looked for once, as a gear goes astern: somebody has to look there before the boat does. */
  private roomAstern(): DriveNow['astern'] {
    const { state, world } = this.drive;
    const astern = state.engines.some(({ orderedGear }) => orderedGear < 0);
    const begins = astern && !this.wentAstern;
    this.wentAstern = astern;
    if (!begins) return null;
    const { motion } = state;
    const pose = { x: motion[X]!, y: motion[Y]!, heading: motion[PSI]! };
    const far = world.craft.spec.hull.length;
    const found = roomAlong(world.craft, world.shore, LIES_NOWHERE, pose, -1, far);
    return { room: found.distance, name: nameOfThing(world, found.obstacle) };
  }

  private cueLeft(): CueLeft | null {
    const { helm } = this.drive;
    if (helm.planDone) return null;
    const unit = UNITS[helm.nextCue().is];
    const level = helm.toCue();
    return unit && Number.isFinite(level) ? { value: Math.max(0, -level), unit } : null;
  }
}
