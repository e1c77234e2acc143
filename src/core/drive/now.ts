import type { LeastClearance, Touch } from '../debrief';
import type { Cue, Finish, TakeEvent } from '../score';
import { windAt, type Gear, type Trace } from '../sim';
import type { Drive } from './drive';

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

/** How far the next cue of the score followed still is, in its own measure; null where that cannot be counted down. */
export interface CueLeft {
  readonly value: number;
  readonly unit: 's' | 'rad' | 'm/s' | 'm' | 'N';
}

/** The boat at the helm's hand at one step: what the page draws and says. SI, radians. */
export interface DriveNow {
  readonly step: number;
  readonly time: number;
  /** Her last two samples, as columns of a take's record: the page draws between them. */
  readonly trace: Trace;
  readonly wheel: { readonly ordered: number; readonly angle: number };
  readonly engines: readonly EngineNow[];
  readonly thrusters: readonly ThrusterNow[];
  /** Does the joystick have her, and would it answer? */
  readonly joystick: { readonly active: boolean; readonly dead: boolean };
  readonly helmManned: boolean;
  readonly wind: { readonly from: number; readonly speed: number };
  readonly nearest: LeastClearance | null;
  /** Beat of the score come to, −1 before the first, and how far the next cue is. */
  readonly beat: number;
  readonly scoreDone: boolean;
  readonly cueLeft: CueLeft | null;
  /** What has happened since the step told of before, and the touches since then. */
  readonly events: readonly TakeEvent[];
  readonly touches: readonly Touch[];
  readonly finish: Finish | null;
}

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
  private touches = 0;
  private readonly wind = new Float64Array(2);

  constructor(private readonly drive: Drive) {}

  now(): DriveNow {
    const { drive, wind } = this;
    const { state, world, hand, live } = drive;
    windAt(wind, world.environment, state.time);
    const events = hand.events.slice(this.events);
    this.events = hand.events.length;
    const touches = live.touchCount > this.touches ? live.touches.slice(this.touches) : [];
    this.touches = live.touchCount;
    return {
      step: drive.step,
      time: state.time,
      trace: live.recent(2),
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
      joystick: { active: state.joystick.active, dead: hand.dead.joystick },
      helmManned: hand.crew.helmManned(),
      wind: { from: wind[0]!, speed: wind[1]! },
      nearest: live.nearest,
      beat: hand.current,
      scoreDone: hand.scoreDone,
      cueLeft: this.cueLeft(),
      events,
      touches,
      finish: hand.finish,
    };
  }

  private cueLeft(): CueLeft | null {
    const { hand } = this.drive;
    if (hand.scoreDone) return null;
    const unit = UNITS[hand.nextCue().is];
    const level = hand.toCue();
    return unit && Number.isFinite(level) ? { value: Math.max(0, -level), unit } : null;
  }
}
