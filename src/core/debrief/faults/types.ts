import type { HullPart, TouchGrade } from '../../monitors';
import type { Review } from '../context';

/** What each rule tells with a fault it has found: SI, radians. */
export interface FaultFigures {
  /** The gear was in, and only then the wheel was turned: so much later, so far. */
  'gear before steering': { readonly late: number; readonly turned: number };
  /** Straight through neutral: the pause, and what the gearbox asks for. */
  'no pause in neutral': {
    readonly pause: number;
    readonly wanted: number;
    readonly engine: number;
  };
  /** In gear with nothing done: so long, gaining so much way, with so much room ahead at its end. */
  'left in gear': { readonly seconds: number; readonly gained: number; readonly room: number };
  /** Still driving on when there was no room left to stop in. */
  'neutral late': { readonly late: number; readonly room: number; readonly needs: number };
  /** Faster than the room ahead allows. */
  'too fast for the room': {
    readonly speed: number;
    readonly room: number;
    readonly needs: number;
    readonly what: string | null;
  };
  /** Brought up short of where she was to lie, and driven on again. */
  'astern too early': { readonly short: number };
  /** More throttle astern than was wanted: she was stopped and gathered sternway. */
  'astern too hard': { readonly throttle: number; readonly sternway: number };
  /** The thrust was turned round with the gear, the wheel was not. */
  'steering not reversed': { readonly angle: number; readonly seconds: number };
  /** The turn was begun before the place the plan turns at. */
  'turned early': { readonly early: number; readonly clearance: number; readonly unused: number };
  /** The bow fell off down-wind against what was ordered. */
  'lost the bow': { readonly fell: number; readonly seconds: number };
  /** The end nobody was looking at came nearest, or touched. */
  'watched one end': {
    readonly part: HullPart;
    readonly what: string;
    readonly grade: TouchGrade;
    readonly speed: number;
  };
  /** A line near its working load, and nobody saw to it. */
  'line not watched': {
    readonly line: number;
    readonly tension: number;
    readonly breaks: number;
    readonly seconds: number;
  };
  /** A line that had held her come slack, by so much, and nobody saw to it. */
  'line slack': { readonly line: number; readonly slack: number; readonly seconds: number };
  /** Went astern with something close behind, and touched it. */
  'did not look astern': { readonly room: number; readonly what: string };
  /** Close by somebody under way with way on. */
  'did not wait': { readonly what: string; readonly gap: number; readonly speed: number };
  /** The last moment to break off went by, and it did not come right. */
  'past the way out': { readonly last: number };
  /** Thrusters did the work of engine and rudder. */
  'thruster leaned on': { readonly seconds: number; readonly share: number; readonly heat: number };
  /** Some of her was in water that is to be kept out of. */
  'in no-go water': { readonly what: string; readonly seconds: number };
  /** Wash where it harms: fastest through the water there, what is allowed, and the most throttle. */
  wash: {
    readonly what: string;
    readonly speed: number;
    readonly most: number;
    readonly throttle: number;
  };
  /** A paddle wound without the helm's sign, and by whom. */
  'paddle without sign': { readonly who: number };
  /** Over the cill in a falling chamber: seconds she had left, if she was to hang, and whether she did. */
  'over the cill': { readonly left: number | null; readonly hung: boolean };
  /** Wedged between the sides of a chamber, or an end on a gate, as the level went: seconds she had left, and whether she hung. */
  'gripped in a lock': {
    readonly by: 'sides' | 'gate' | 'coping';
    readonly left: number | null;
    readonly hung: boolean;
  };
  /** A line made fast in a falling chamber. */
  'line fast in a lock': {
    readonly line: number;
    readonly hung: boolean;
    readonly parted: boolean;
  };
  /** Somebody was where a propeller turned. */
  'person in danger': { readonly who: number };
}

export type FaultId = keyof FaultFigures;

/** A fault with its moment: where the playhead goes, and until when it lasted. */
export type FaultOf<K extends FaultId> = {
  readonly rule: K;
  readonly time: number;
  readonly until: number;
  readonly figures: FaultFigures[K];
};
export type Fault = { [K in FaultId]: FaultOf<K> }[FaultId];

/** Finds one kind of fault in a run. */
export interface FaultRule<K extends FaultId = FaultId> {
  readonly id: K;
  find(review: Review): readonly FaultOf<K>[];
}
