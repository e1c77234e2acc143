import type { ForSide } from '@/core/brief';
import { CURRENT_NAMED_MPS, WIND_NAMED_MPS, SIDES_ALIKE } from '@/core/policy';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { boatSpeed, windSpeed, type Units } from './units';

const A_WALK = 2 / DEGREES_PER_RADIAN;

/** What speaks for and against one side, in words; and which the figures favour. */
export function reasonsForSide(
  sides: readonly ForSide[],
  side: ForSide['side'],
  units: Units,
): string[] {
  const it = sides.find((one) => one.side === side);
  const better = sides[0];
  if (!it || !better) return [];
  const { currentAhead, windAhead, sternIn, walkFor } = it;
  const met = (value: number, words: string) =>
    value > 0
      ? `${words} on the bow, which helps the boat stop.`
      : `${words} from astern, which carries the boat on.`;
  const said = [
    ...(Math.abs(currentAhead) > CURRENT_NAMED_MPS
      ? [met(currentAhead, `${boatSpeed(Math.abs(currentAhead), units)} of current`)]
      : []),
    ...(Math.abs(windAhead) > WIND_NAMED_MPS
      ? [met(windAhead, `${windSpeed(Math.abs(windAhead), units)} of wind`)]
      : []),
    ...(sternIn !== null && Math.abs(sternIn) > A_WALK
      ? [
          `Going astern turns the boat ${Math.round(Math.abs(sternIn) * DEGREES_PER_RADIAN)}° in ${Math.round(walkFor)} s, its stern ${sternIn > 0 ? 'in to the berth' : 'away from the berth'}.`,
        ]
      : []),
  ];
  const near = Math.abs(sides[0]!.worth - sides[1]!.worth) < SIDES_ALIKE;
  if (said.length === 0) return ['Wind, current and propeller say little for either side.'];
  if (near) return [...said, 'Neither side has much over the other.'];
  return side === better.side
    ? [...said, 'The better side by these.']
    : [...said, `The other side is the better by these.`];
}
