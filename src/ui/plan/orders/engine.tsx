import { engineText, gearName } from '../../words/helm';
import { GEARS, named } from '../options';
import { ABSENT } from '../part-values';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at, values }: FieldsProps) {
  const { engines } = useNames();
  return (
    <>
      {engines.length > 1 && (
        <RowChoice
          name={`${at}.engine`}
          label="Which engine"
          options={[{ value: ABSENT, text: 'all' }, ...named(engines)]}
        />
      )}
      <RowChoice name={`${at}.gear`} label="Gear" options={GEARS} />
      {values.gear !== 'neutral' && (
        <RowNumber name={`${at}.throttle`} label="Throttle above idle" unit="%" width={46} />
      )}
    </>
  );
}

export const engine: OrderView<'engine'> = {
  title: 'Engine',
  add: ({ engines }) => (engines.length > 0 ? 'engine' : null),
  Fields,
  read: ({ gear }) => (gear === 'neutral' ? { throttle: 0 } : {}),
  text: ({ engine: which, gear, throttle }) =>
    `${which === undefined ? '' : `${which} `}${engineText(gear, throttle)}`,
  given({ engine: which, gear, throttle }, { boat: { drives } }) {
    const several = drives.length > 1 && which !== null;
    const name = several ? `${drives[which]?.name ?? 'engine'} ` : '';
    return name + engineText(gearName(gear), throttle);
  },
};
