import type { FenderSpec, NamedPoint, WindageSpec } from '../spec';
import { CLASS_DEFAULTS } from './classes';
import type { HalfOutline } from './hull';
import type { OwnerFigures } from './owner';

/** Bare mast, boom, furled sails and rigging: area per metre of mast, side on and end on. */
const RIG_SIDE = 0.42;
const RIG_FRONT = 0.25;

export function estimateWindage(owner: OwnerFigures): WindageSpec {
  const c = CLASS_DEFAULTS[owner.class];
  const { length, beam, freeboard, superstructure, mast } = owner;
  const parts = [
    { area: 0.95 * length * freeboard, height: freeboard / 2, x: c.topsidesX * length },
    {
      area: 0.85 * c.houseLength * length * superstructure,
      height: freeboard + superstructure / 2,
      x: c.houseX * length,
    },
    // The mast stands a little forward of midships.
    { area: RIG_SIDE * mast, height: freeboard + 0.35 * mast, x: mast > 0 ? 0.07 * length : 0 },
  ];
  const lateral = parts.reduce((sum, p) => sum + p.area, 0);
  const mean = (pick: (p: (typeof parts)[number]) => number) =>
    parts.reduce((sum, p) => sum + p.area * pick(p), 0) / lateral;
  return {
    frontalArea: 0.8 * beam * freeboard + 0.75 * beam * superstructure + RIG_FRONT * mast,
    lateralArea: lateral,
    frontalDrag: c.frontDrag,
    sternDrag: c.sternDrag,
    sideDrag: c.sideDrag,
    centreX: mean((p) => p.x),
    centreHeight: mean((p) => p.height),
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
