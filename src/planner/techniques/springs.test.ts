import { runPlan } from '@/core/plan';
import { toRunInput } from '@/document/run-input';
import { planSchema } from '@/document/plan';
import { check } from '@/document/result';
import { manoeuvreFileSchema, type ManoeuvreFile } from '@/document/manoeuvre';
import { demoFile } from '@/document/testing/demo';
import { type TechniqueId } from '@/planner';
import { atFirst, numbersBy } from '../template';
import { refusalOf, templatesFor } from '../testing/asked';

const pressed = demoFile('sprung-off-the-pontoon');
const coming = demoFile('spring-on-before-she-blows-off');
/** The same with nothing written yet, nothing rigged and nobody named. */
const blank = (file: ManoeuvreFile): ManoeuvreFile => ({
  ...file,
  plan: planSchema.parse({
    steps: [{ id: 'begin', cue: { is: 'start' } }],
    end: { cue: { is: 'after', time_s: 1 } },
  }),
});
const bare = blank(pressed);

function written(file: ManoeuvreFile, technique: TechniqueId) {
  const templates = templatesFor(file, technique);
  const template = templates[0]!;
  return { template, plan: atFirst(template!) };
}

const withoutBollards = (file: ManoeuvreFile): ManoeuvreFile => ({
  ...file,
  place: {
    ...file.place,
    features: file.place.features.filter(({ kind }) => kind !== 'bollard' && kind !== 'pile'),
  },
});

describe('techniques with lines', () => {
  const leaving = [
    'spring-off-by-the-bow',
    'spring-off-by-the-stern',
    'alone-last-line-on-a-slip',
  ] as const;

  it.each(leaving)('%s begins made fast, ends with every line aboard, and can be played', (id) => {
    const { plan } = written(bare, id);
    expect(plan.lines.length).toBeGreaterThan(0);
    expect(plan.lines.every(({ fast, doubled }) => fast !== undefined && doubled)).toBe(true);
    const let_go = plan.steps.flatMap(({ orders }) =>
      orders.flatMap((order) => (order.do === 'letGo' ? [order.line] : [])),
    );
    expect([...let_go].sort()).toEqual(plan.lines.map(({ name }) => name).sort());
    const input = toRunInput({ ...bare, plan });
    expect(input.ok).toBe(true);
    if (input.ok) expect(runPlan(input.value).duration).toBeGreaterThan(5);
  });

  it.each(leaving)('%s at either end of every dial is a plan the program takes', (id) => {
    const { template } = written(bare, id);
    for (const pick of ['least', 'most'] as const) {
      const plan = template.write(numbersBy(template, (open) => open[pick]));
      expect(check(manoeuvreFileSchema, { ...bare, plan }).ok).toBe(true);
      expect(toRunInput({ ...bare, plan }).ok).toBe(true);
    }
  });

  it.each([...leaving, 'alongside-on-a-spring'] as const)(
    '%s says so where no bollard stands',
    (id) => {
      const file = id === 'alongside-on-a-spring' ? coming : bare;
      expect(refusalOf(file, id)).toBeNull();
      expect(refusalOf(withoutBollards(file), id)).toMatchObject({
        why: expect.stringMatching(/^no bollard/) as string,
      });
    },
  );

  it('leads the bow spring aft from the side of her berth, the stern spring forward', () => {
    const input = toRunInput(pressed);
    if (!input.ok) throw new Error('cannot be played');
    const along = (name: string) =>
      bare.place.features.flatMap((f) =>
        f.name === name && 'x_m' in f
          ? [
              (f.x_m - bare.start.x_m) * Math.sin(input.value.start.heading) +
                (f.y_m - bare.start.y_m) * Math.cos(input.value.start.heading),
            ]
          : [],
      )[0]!;
    const bow = written(bare, 'spring-off-by-the-bow').plan.lines[0]!;
    expect(bow.from).toBe('port bow cleat');
    expect(along(bow.fast!.to)).toBeLessThan(0.42 * 10.6);
    const stern = written(bare, 'spring-off-by-the-stern').plan.lines[0]!;
    expect(stern.from).toBe('port quarter cleat');
    expect(along(stern.fast!.to)).toBeGreaterThan(-0.46 * 10.6);
  });

  it('hangs fenders where she pivots, on both sides', () => {
    const fenders = (id: TechniqueId) => written(bare, id).plan.fenders;
    const bow = fenders('spring-off-by-the-bow');
    expect(bow.filter(({ side }) => side === 'port')).toHaveLength(bow.length / 2);
    expect(bow.every(({ x_m }) => x_m > 3)).toBe(true);
    expect(fenders('spring-off-by-the-stern').every(({ x_m }) => x_m < -3)).toBe(true);
  });

  it('throws the first spring where somebody is ashore to catch it, drops it where nobody is', () => {
    const pass = (file: ManoeuvreFile) =>
      written(file, 'alongside-on-a-spring')
        .plan.steps.flatMap(({ orders }) => orders)
        .find((order) => order.do === 'pass');
    expect(pass(coming)).toMatchObject({ how: 'throw', by: 'Tomas' });
    const alone = blank(coming);
    expect(pass(alone)).toMatchObject({ how: 'drop' });
    expect(pass(alone)).not.toHaveProperty('by');
  });

  it('keeps the people there are, and puts somebody at the helm where there is nobody', () => {
    const alone = written(bare, 'alone-last-line-on-a-slip').plan;
    expect(alone.crew).toMatchObject([{ at: { aboard: 'helm' } }]);
    expect(alone.lines[0]).toMatchObject({ ledTo: 'helm' });
    const crew = [{ name: 'Ines', at: { aboard: 'helm' }, pull_N: 300, throws_m: 8 }];
    const named = written(
      { ...bare, plan: { ...bare.plan, crew } },
      'alone-last-line-on-a-slip',
    ).plan;
    expect(named.crew).toEqual(crew);
    expect(JSON.stringify(named.steps)).toContain('"by":"Ines"');
  });
});
