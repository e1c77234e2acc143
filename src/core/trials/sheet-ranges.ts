import { assembleCraft, type BoatSpec } from '../boat';
import { drawOf, RANGE_DRAWS, rangesOf, variedBoat, type Range, type Spread } from '../uncertainty';
import { BEAM_ON, computeSheet, type Sheet } from './sheet';

/** Where figures of a sheet lie in 90 of 100, by the figures' names; those nobody comes to are left out. */
export type SheetRanges = Readonly<Partial<Record<string, Range>>>;

/** The figure each line of a sheet leads with, by the line's name; null where the boat never comes to it. */
export type SheetFigures = Readonly<Record<string, number | null>>;

const size = (value: number | null | undefined) =>
  value === null || value === undefined ? null : Math.abs(value);

/** The leading figures of a sheet's lines. SI, radians; of a turn by prop walk with its sign, of all else the size. */
export function sheetFigures(sheet: Sheet): SheetFigures {
  const { speeds, stops, carry, circles, kick, walk, backAndFill, opposed, steering, holds } =
    sheet;
  const figures: Record<string, number | null> = {};
  if (speeds.idleAhead !== null)
    for (const [name, speed] of Object.entries(speeds)) figures[name] = size(speed);
  if (speeds.idleAhead !== null)
    stops.forEach(({ stop }, i) => (figures[`stop ${i}`] = stop && stop.distance));
  figures.carry = carry && carry.distance;
  if (kick) {
    for (const [name, circle] of Object.entries(circles)) figures[name] = circle && circle.diameter;
    figures.kick = size(kick.rate);
    figures.fillStarboard = backAndFill.starboard && backAndFill.starboard.room;
    figures.fillPort = backAndFill.port && backAndFill.port.room;
    figures.steerAhead = steering.ahead;
    figures.steerAstern = steering.astern;
  }
  if (opposed) figures.opposed = size(opposed.rate);
  if (walk) figures.walk = walk.turned;
  sheet.drifts
    .filter(({ began }) => Math.abs(began - BEAM_ON) < 0.01)
    .forEach(({ drift }, i) => (figures[`drift ${i}`] = drift));
  if (holds.burst !== null) figures.burst = holds.burst;
  if (holds.thruster !== null) figures.thruster = holds.thruster;
  sheet.thrusters.forEach(({ at }, i) => {
    // Two knots: about where one would want it.
    figures[`share ${i}`] = at[2]?.share ?? null;
  });
  return figures;
}

/**
 * Where each leading figure of a boat's sheet lies in 90 of 100, its own figures drawn: every trial is run anew for each draw.
 *
 * @param progress told the share done, 0 … 1, between trials
 */
export function sheetRanges(
  boat: BoatSpec,
  spread: Spread,
  seed: number,
  progress: (share: number) => void = () => undefined,
): SheetRanges {
  const draws: SheetFigures[] = [];
  for (let k = 0; k < RANGE_DRAWS; k++) {
    const craft = assembleCraft(variedBoat(boat, drawOf(spread, seed, k)));
    draws.push(
      sheetFigures(computeSheet(craft, (share) => progress((k + share) / RANGE_DRAWS), [BEAM_ON])),
    );
  }
  return rangesOf(draws);
}
