/** What of a boat's owner's figures a propulsor's place and leg go by, m. */
interface About {
  readonly class: string;
  readonly length: number;
  readonly keel: string;
  /** Shaft of the class, as a share of the length abaft the middle (negative). */
  readonly shaftX: number;
}

/** A kind of propulsor as the estimate of a boat makes one. The force of every kind is core/forces/propeller. */
export interface Propulsor {
  /** Does it turn with the wheel, or by itself under a joystick? */
  readonly turns: boolean;
  /** Has it a leg in the water, which is a small rudder? */
  readonly leg: boolean;
  /** Along the boat, m forward of the middle. */
  readonly x: (about: About) => number;
  /** Two of them lie so far apart: a share of the beam, and at most so many m. */
  readonly apart: readonly [share: number, most: number];
  /** Walk astern and ahead over thrust: a sloping shaft near the hull most, a leg least. */
  readonly walk: readonly [astern: number, ahead: number];
  /** Walk astern in an aperture close under the counter of a long keel, where it may be in one. */
  readonly inAperture?: number;
  /** Does it stand so far before the rudder that little of its race meets the blade? */
  readonly farAhead?: true;
  /** Astern over ahead thrust is no better than this: exhaust in the propeller. */
  readonly astern: number;
  /** Wake fraction and thrust deduction, where they are not the class's. */
  readonly wake: number | null;
  readonly deduction: number | null;
  /** Thrust at rest per watt, its share of what disc theory allows, and pitch over diameter, where not the class's. */
  readonly screw: {
    readonly perWatt: number;
    readonly share: number;
    readonly pitch: number;
  } | null;
}

/** A small screw under a leg: class defaults of outboards and outdrives. */
const LEG_SCREW = { perWatt: 0.085, share: 0.62, pitch: 0.9 } as const;

/** Every kind of propulsor there is. Figures are class defaults (docs/physics.md), ±20 to 50 %. */
export const PROPULSORS = {
  shaft: {
    turns: false,
    leg: false,
    x: ({ length, keel, shaftX }) => (keel === 'long' ? -0.38 : shaftX) * length,
    apart: [0.4, Infinity],
    walk: [0.25, 0.02],
    inAperture: 0.26,
    astern: 1,
    wake: null,
    deduction: null,
    screw: null,
  },
  'sail drive': {
    turns: false,
    leg: true,
    x: (about) => (about.class === 'sailing catamaran' ? -0.33 : -0.22) * about.length,
    apart: [0.4, Infinity],
    walk: [0.13, 0.01],
    farAhead: true,
    astern: 1,
    wake: 0.04,
    deduction: null,
    screw: null,
  },
  outdrive: {
    turns: true,
    leg: true,
    x: ({ length }) => -0.49 * length,
    apart: [0.3, 0.75],
    walk: [0.03, 0.01],
    astern: 0.62,
    wake: 0.04,
    deduction: 0.05,
    screw: LEG_SCREW,
  },
  outboard: {
    turns: true,
    leg: true,
    x: ({ length }) => -0.5 * length - 0.15,
    apart: [0.3, 0.75],
    walk: [0.02, 0.005],
    astern: 0.6,
    wake: 0.04,
    deduction: 0.05,
    screw: LEG_SCREW,
  },
  pod: {
    turns: true,
    leg: true,
    x: ({ length }) => -0.4 * length,
    apart: [0.4, Infinity],
    walk: [0.03, 0.01],
    astern: 1,
    wake: null,
    deduction: null,
    screw: null,
  },
} as const satisfies Readonly<Record<string, Propulsor>>;

export type PropulsorKind = keyof typeof PROPULSORS;
export const PROPULSOR_KINDS = Object.keys(PROPULSORS) as [PropulsorKind, ...PropulsorKind[]];
export const propulsorOf = (kind: PropulsorKind): Propulsor => PROPULSORS[kind];
