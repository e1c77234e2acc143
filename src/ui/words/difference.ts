import { NO_ROOM_M, CLEARANCE_WORSE_M, TOUCH_WORSE_MPS } from '@/core/policy';
import type { Difference } from '@/core/monitors';
import type { Run } from '@/core/plan';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { boatSpeed, clock, distance, touchSpeed, type Units } from './units';
import { outcomeWord } from './outcome-heads';

export interface DifferenceLine {
  readonly name: string;
  readonly text: string;
  readonly worse: boolean;
}

const inLine = ({ outcome }: Run) => outcomeWord(outcome).toLowerCase();
const pair = (a: string, b: string) => (a === b ? a : `${a} → ${b}`);

/** How a run differs from the one it is held against, the one held first in every pair. */
export function differenceLines(
  held: Run,
  now: Run,
  difference: Difference,
  units: Units,
): DifferenceLine[] {
  const lines: DifferenceLine[] = [
    {
      name: 'outcome',
      text: pair(inLine(held), inLine(now)),
      worse: held.outcome === 'reached' && now.outcome !== 'reached',
    },
  ];
  const [before, after] = difference.clearance;
  if (before !== null && after !== null)
    lines.push({
      name: 'least clearance',
      text: pair(distance(Math.max(0, before), units), distance(Math.max(0, after), units)),
      worse: after < before - CLEARANCE_WORSE_M && after < NO_ROOM_M,
    });
  const [softer, harder] = difference.touch;
  if (softer > 0 || harder > 0)
    lines.push({
      name: 'hardest touch',
      text: pair(
        softer > 0 ? touchSpeed(softer) : 'none',
        harder > 0 ? touchSpeed(harder) : 'none',
      ),
      worse: harder > softer + TOUCH_WORSE_MPS,
    });
  lines.push({
    name: 'fastest',
    text: pair(boatSpeed(difference.fastest[0], units), boatSpeed(difference.fastest[1], units)),
    worse: false,
  });
  lines.push({
    name: 'takes',
    text: pair(clock(difference.duration[0]), clock(difference.duration[1])),
    worse: false,
  });
  if (difference.partsAt === null)
    lines.push({ name: 'the ways', text: 'never part by half a metre', worse: false });
  else {
    lines.push({
      name: 'the ways part',
      text: `at ${clock(difference.partsAt)}, by ${distance(difference.apart, units)} at ${clock(difference.apartAt)}`,
      worse: false,
    });
    const turned = Math.round(difference.endsTurned * DEGREES_PER_RADIAN);
    lines.push({
      name: 'the boat ends',
      text: `${distance(difference.endsApart, units)} away, ${Math.abs(turned)}° ${turned < 0 ? 'to port' : 'to starboard'}`,
      worse: false,
    });
  }
  return lines;
}
