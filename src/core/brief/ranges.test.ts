import { toRunInput } from '@/document';
import { demoFile } from '@/document/testing/demo';
import type { RunInput } from '../plan';
import { briefOf, type Brief, type BriefRanges } from './';

function briefed(input: RunInput): Brief {
  let last: Brief | null = null;
  for (const found of briefOf(input, false, [])) last = found;
  return last!;
}

describe('ranges of a brief', () => {
  const made = toRunInput(demoFile('off-the-wall'));
  if (!made.ok) throw new Error(JSON.stringify(made.problems));
  const input = made.value;
  const said = briefed(input);
  const ranges: BriefRanges = said.ranges!;
  const width = (of: BriefRanges, name: string) => of[name]!.most - of[name]!.least;

  it('hold what is told of the day and the boat as they are taken to be', () => {
    const { stop, carry, holds } = said.able!;
    const figures = {
      'start-drift': said.lying[0]!.letGo.speed,
      stop: stop!.distance,
      carry: carry!.distance,
      thruster: holds.thruster!,
      spring: holds.spring!,
    };
    for (const [name, figure] of Object.entries(figures)) {
      expect([name, ranges[name]!.least < figure]).toEqual([name, true]);
      expect([name, ranges[name]!.most > figure]).toEqual([name, true]);
    }
  });

  it('are narrower where boat and day are known better, by what is known', () => {
    const known = {
      thrust: 0.02,
      thrustAstern: 0.02,
      windForce: 0.02,
      hullDrag: 0.02,
      windSpeed: 0.03,
      current: 0.03,
      windFrom: 0.02,
      currentSet: 0.02,
    };
    const sure = briefed({ ...input, known }).ranges!;
    for (const name of ['start-push', 'stop', 'spring'])
      expect([name, width(sure, name) < 0.6 * width(ranges, name)]).toEqual([name, true]);
  });

  it('are the same each time, and left out where they are not asked for', () => {
    expect(briefed(input).ranges).toEqual(ranges);
    let last: Brief | null = null;
    for (const found of briefOf(input, false, [], false)) last = found;
    expect(last!.ranges).toBeNull();
  });
});
