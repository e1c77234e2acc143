import type { FenderSpec, NamedPoint, WindageSpec } from '../spec';
import { heightOfPressure, windShareAt } from '../wind-profile';
import { CLASS_DEFAULTS } from './classes';
import type { HalfOutline } from './hull';
import type { OwnerFigures } from './owner';

/** A part that stands in the wind: its area seen from the side, m², height and place of its middle, m. */
interface Part {
  readonly area: number;
  readonly height: number;
  readonly x: number;
}

/** Bare mast, boom with its sail furled on it, and rigging: area per metre of mast, side on and end on. */
const RIG_SIDE = 0.39;
const RIG_FRONT = 0.25;
/** A headsail rolled up on its stay, as thick as this share of the mast's height, over so much of it. */
const ROLLED_THICK = 0.013;
const ROLLED_HEIGHT = 0.85;
/** Where its middle stands: half-way from stem to mast, share of the length. */
const ROLLED_X = 0.27;
/** A sprayhood over the companionway: length and height over the house, shares of the length; place. */
const HOOD = { long: 0.12, high: 0.03, x: -0.12 } as const;

/** What of a boat stands in the wind. */
function partsOf(owner: OwnerFigures): Part[] {
  const c = CLASS_DEFAULTS[owner.class];
  const { length, freeboard, superstructure, mast } = owner;
  const sails = owner.class.startsWith('sailing') && mast > 0;
  const parts: Part[] = [
    { area: 0.95 * length * freeboard, height: freeboard / 2, x: c.topsidesX * length },
    {
      area: 0.85 * c.houseLength * length * superstructure,
      height: freeboard + superstructure / 2,
      x: c.houseX * length,
    },
    // The mast stands a little forward of midships.
    { area: RIG_SIDE * mast, height: freeboard + 0.35 * mast, x: 0.07 * length },
  ];
  if (!sails) return parts;
  const hood = HOOD.high * length;
  return [
    ...parts,
    {
      area: ROLLED_THICK * mast * ROLLED_HEIGHT * mast,
      height: freeboard + (ROLLED_HEIGHT / 2) * mast,
      x: ROLLED_X * length,
    },
    {
      area: HOOD.long * length * hood,
      height: freeboard + superstructure + hood / 2,
      x: HOOD.x * length,
    },
  ];
}

/** Pressure of the wind at a height over that at 10 m. */
const pressureAt = (height: number) => {
  const share = windShareAt(height);
  return share * share;
};

/**
 * Windage from what stands on such a boat. Areas count by the pressure at their height, which is what moves the centre up the rig
 * and towards the rolled headsail; the height told is the one whose pressure the whole area has on the average.
 */
export function estimateWindage(owner: OwnerFigures): WindageSpec {
  const c = CLASS_DEFAULTS[owner.class];
  const { beam, freeboard, superstructure, mast } = owner;
  const parts = partsOf(owner);
  const lateral = parts.reduce((sum, p) => sum + p.area, 0);
  const pushed = parts.reduce((sum, p) => sum + p.area * pressureAt(p.height), 0);
  return {
    frontalArea: 0.8 * beam * freeboard + 0.75 * beam * superstructure + RIG_FRONT * mast,
    lateralArea: lateral,
    frontalDrag: c.frontDrag,
    sternDrag: c.sternDrag,
    sideDrag: c.sideDrag,
    centreX: parts.reduce((sum, p) => sum + p.area * pressureAt(p.height) * p.x, 0) / pushed,
    centreHeight: heightOfPressure(pushed / lateral),
    centreShift: c.centreShift,
  };
}

/** Half breadth of a half outline at x, m. */
function breadthAt(outline: HalfOutline, x: number): number {
  for (let i = 1; i < outline.length; i++) {
    const [x0, y0] = outline[i - 1]!;
    const [x1, y1] = outline[i]!;
    if (x >= x0 && x <= x1) return x1 > x0 ? y0 + ((x - x0) / (x1 - x0)) * (y1 - y0) : y1;
  }
  return outline.at(-1)![1];
}

/** Fenders both sides, sized by length; ships and barges lie to the quay's own. */
export function estimateFenders(owner: OwnerFigures, deck: HalfOutline): FenderSpec[] {
  const { length } = owner;
  if (owner.class === 'ship' || (owner.class === 'barge' && length > 30)) return [];
  const [diameter, long] =
    length < 7 ? [0.15, 0.45] : length < 11 ? [0.22, 0.6] : length < 17 ? [0.3, 0.8] : [0.35, 1];
  const places = length < 7 ? [0.2, -0.05, -0.3] : [0.25, 0.06, -0.13, -0.32];
  return [-1, 1].flatMap((side) =>
    places.map((share, i) => ({
      name: `${side < 0 ? 'port' : 'starboard'} fender ${i + 1}`,
      x: share * length,
      y: side * (breadthAt(deck, share * length) + diameter / 2),
      diameter,
      length: long,
      pressure: 15000,
      loss: 1,
    })),
  );
}

/** Places aboard that cues and lines name. */
export function estimatePoints(owner: OwnerFigures, deck: HalfOutline): NamedPoint[] {
  const { length, mast } = owner;
  const pair = (name: string, x: number): NamedPoint[] => [
    { name: `port ${name}`, x, y: -breadthAt(deck, x) },
    { name: `starboard ${name}`, x, y: breadthAt(deck, x) },
  ];
  const helm =
    owner.class === 'ship'
      ? -0.36
      : owner.class === 'motor yacht' || owner.class === 'tug'
        ? 0.05
        : -0.36;
  return [
    ...(mast > 0 && owner.class.startsWith('sailing')
      ? [{ name: 'mast', x: 0.08 * length, y: 0 }]
      : []),
    { name: 'helm', x: helm * length, y: 0 },
    ...pair('bow cleat', 0.42 * length),
    ...pair('midship cleat', 0),
    ...pair('quarter cleat', -0.46 * length),
  ];
}
