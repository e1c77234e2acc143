import { referenceOutlook } from '@/core/reference';
import { toRunInput } from '@/document';
import { CASE_KINDS } from './testing/case-drafts';
import { CASES, caseOf } from './testing/cases';

describe('cases nobody has fitted a plan to', () => {
  const some = Array.from({ length: 32 }, (_, i) => caseOf(6 * i + (i % 2)));

  it('are two hundred and more, of every kind, half of them held back', () => {
    expect(CASES).toBeGreaterThanOrEqual(200);
    expect(new Set(some.map(({ kind }) => kind)).size).toBe(CASE_KINDS.length);
    expect(some.filter(({ half }) => half === 'design')).toHaveLength(16);
  });

  it('can each be run, and are the same each time', () => {
    for (const { id, file } of some) {
      const input = toRunInput(file);
      expect(input.ok ? [] : [id, input.problems]).toEqual([]);
    }
    expect(caseOf(40)).toEqual(caseOf(40));
  });

  it('have slips that are shorter than their boats among them', () => {
    const short = some.filter(({ file: { place, boat } }) => {
      const [berth] = place.berths;
      const [[ax, ay], [bx, by]] = berth!.edge_m;
      return berth!.kind === 'slip' && Math.hypot(bx - ax, by - ay) < boat.hull.length_m;
    });
    expect(short.length).toBeGreaterThan(3);
  });

  it('have a way in for a small boat in a strong current, which is set far while it shunts', () => {
    for (const n of [70, 102]) {
      const input = toRunInput(caseOf(n).file);
      if (!input.ok) throw new Error(JSON.stringify(input.problems));
      const { ways } = referenceOutlook(input.value).prospect;
      const { x, y, heading } = input.value.start;
      expect(ways.seconds(x, y, heading, 0)).toBeLessThan(120);
    }
  });

  it('are mirrored as a whole', () => {
    const { file } = caseOf(16);
    const { file: mirrored } = caseOf(16, true);
    expect(mirrored.boat).toEqual(file.boat);
    const side = (point: string) => point.split(' ')[0];
    if (file.goal.is !== 'lie' || mirrored.goal.is !== 'lie') throw new Error('it comes to lie');
    expect([side(file.goal.point), side(mirrored.goal.point)].toSorted()).toEqual([
      'port',
      'starboard',
    ]);
    expect(mirrored.conditions.wind.speed_mps).toBe(file.conditions.wind.speed_mps);
  });
});
