import { RATES, type LineSpec } from '../holding';
import { rig } from '../testing/rig';
import { sloop } from '../testing/boats';
import { setLineRates } from './line-rates';
import { placeOnGround } from './derivative';

const line = (length: number, rest: Partial<LineSpec> = {}): LineSpec => ({
  boatX: 0,
  boatY: 0,
  shoreX: 6,
  shoreY: 0,
  rise: 0,
  length,
  stiffness: 60_000,
  damping: 500,
  ...rest,
});

/** How fast lines can act within a tenth of a second on a boat going so fast towards their end ashore, or away. */
function rates(specs: LineSpec[], speed = 0, seconds = 0.1) {
  const vessel = rig(sloop(), { lines: specs });
  const { state, scratch } = vessel;
  // Heading east, the bollard ahead.
  state.motion[2] = Math.PI / 2;
  state.motion[3] = speed;
  placeOnGround(state.motion, vessel);
  setLineRates(vessel, seconds);
  return { firmest: scratch.lineRates[RATES.FIRMEST]!, all: scratch.lineRates[RATES.ALL]! };
}

it('a taut line counts, as does one that may come taut within the step', () => {
  expect(rates([line(5.9)]).firmest).toBeGreaterThan(1);
  expect(rates([line(6.05)]).firmest).toBeGreaterThan(1);
  expect(rates([line(6.3)], -2.5).firmest).toBeGreaterThan(1);
  // Hauled in that fast, it may too.
  expect(rates([line(5.9), line(6.05)]).all).toBeGreaterThan(rates([line(5.9)]).all);
});

it('one that hangs too slack to come taut within it does not', () => {
  expect(rates([line(8)])).toEqual({ firmest: 0, all: 0 });
  expect(rates([line(6.3)])).toEqual({ firmest: 0, all: 0 });
  expect(rates([line(5.9), line(9)])).toEqual(rates([line(5.9)]));
});

it('every line counts while it is not known how she lies', () => {
  expect(rates([line(50)], 0, 0).firmest).toBeGreaterThan(0);
});
