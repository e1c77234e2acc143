import { Choice } from '../../parts/Choice';
import { NumberBox } from '../../parts/NumberBox';
import { ring } from '../../plot/shapes';
import { useUnits } from '../../state/preferences';
import { boatSpeed, speedFrom, speedIn, tidy } from '../../words/units';
import type { AreaFieldsProps, AreaView } from './view';

function Fields({ area, change }: AreaFieldsProps<'zone'>) {
  const { speed } = useUnits();
  return (
    <>
      <Choice
        label="Its rule"
        value={area.rule}
        options={[
          { value: 'keep out', text: 'keep out' },
          { value: 'no wash', text: 'no wash' },
        ]}
        onChange={(rule) => change({ rule })}
      />
      {area.rule === 'no wash' && (
        <NumberBox
          label="no faster than"
          value={tidy(speedIn(area.most_mps, speed))}
          unit={speed}
          least={tidy(speedIn(0.2, speed))}
          most={tidy(speedIn(5, speed))}
          digits={1}
          onChange={(most) => change({ most_mps: tidy(speedFrom(most, speed), 3) })}
        />
      )}
    </>
  );
}

export const zone: AreaView<'zone'> = {
  words: 'water with a rule',
  over: false,
  needed: true,
  draw: ({ outline_m }) => [ring(outline_m, { stroke: 'hurt', width: 1.2, dash: [9, 4, 2, 4] })],
  label: ({ name, rule, most_mps }, units) =>
    rule === 'keep out' ? `${name}: keep out` : `${name}: no wash, ${boatSpeed(most_mps, units)}`,
  fresh: () => ({ rule: 'keep out', most_mps: 1.5 }),
  Fields,
};
