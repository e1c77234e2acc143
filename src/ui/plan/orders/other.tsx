import { engineText, gearName, threeFigures } from '../../words/helm';
import { GEARS, named, worded } from '../options';
import { ABSENT } from '../part-values';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

const KEEPS = worded({
  'a heading': 'keeping',
  'a mark': 'steering for',
  'no heading': 'whatever it is',
});

function Fields({ at, values }: FieldsProps) {
  const { marks, others } = useNames();
  return (
    <>
      <RowChoice name={`${at}.boat`} label="Which boat" options={named(others)} />
      <RowChoice name={`${at}.gear`} label="Gear of the other boat" options={GEARS} />
      {values.gear !== 'neutral' && (
        <RowNumber
          name={`${at}.throttle`}
          label="Throttle of the other boat above idle"
          unit="%"
          width={46}
        />
      )}
      <RowChoice name={`${at}.keeps`} label="Heading of the other boat" options={KEEPS} />
      {values.keeps === 'a heading' && (
        <RowNumber
          name={`${at}.heading`}
          label="Heading the other boat keeps"
          unit="°"
          width={46}
        />
      )}
      {values.keeps === 'a mark' && (
        <RowMark
          name={`${at}.mark`}
          label="Mark the other boat steers for"
          options={named(marks)}
        />
      )}
    </>
  );
}

export const other: OrderView<'other'> = {
  title: 'Other boat',
  add: ({ others }) => (others.length > 0 ? 'another boat' : null),
  fresh: { keeps: 'a heading' },
  Fields,
  show: ({ mark, heading_deg }) => ({
    keeps: mark !== undefined ? 'a mark' : heading_deg === undefined ? 'no heading' : 'a heading',
  }),
  read: ({ gear, keeps, mark }) => ({
    ...(gear === 'neutral' ? { throttle: 0 } : {}),
    ...(keeps === 'a heading' ? {} : { heading_deg: undefined }),
    // One that is to be steered for has to be named.
    mark: keeps === 'a mark' ? (mark === ABSENT ? '' : mark) : undefined,
  }),
  text({ boat, gear, throttle, heading_deg, mark }) {
    const steers =
      mark !== undefined
        ? `, steering for ${mark}`
        : heading_deg === undefined
          ? ''
          : `, steering ${threeFigures(heading_deg)}`;
    return `${boat}: ${engineText(gear, throttle)}${steers}`;
  },
  given: ({ gear, throttle }) => `the other boat ${engineText(gearName(gear), throttle)}`,
};
