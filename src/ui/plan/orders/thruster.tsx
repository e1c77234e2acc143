import { thrusterText } from '../../words/helm';
import { named, SIDES } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { thrusters } = useNames();
  return (
    <>
      <RowChoice name={`${at}.thruster`} label="Which thruster" options={named(thrusters)} />
      <RowChoice name={`${at}.powerSide`} label="Pushing to" options={SIDES} />
      <RowNumber name={`${at}.power`} label="Power" unit="%" width={46} />
    </>
  );
}

export const thruster: OrderView<'thruster'> = {
  title: 'Thruster',
  add: ({ thrusters }) => (thrusters.length > 0 ? 'thruster' : null),
  sided: ['power'],
  fresh: { power: 100 },
  Fields,
  text: ({ thruster: which, power }) => thrusterText(which, power),
  given: ({ thruster: which, power }, { boat }) =>
    thrusterText(boat.thrusters[which]?.name ?? 'thruster', power),
};
