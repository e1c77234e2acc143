import { metres, the } from '../../words/lines';
import { worded } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';
import { lineOf, LineOrder } from './line-order';

const HOW = worded({ drop: 'dropped', weigh: 'weighed' });

function Fields({ at, values }: FieldsProps) {
  return (
    <LineOrder at={at} values={values} lines="anchors">
      <RowChoice name={`${at}.how`} label="What with it" options={HOW} />
      {values.how === 'drop' && (
        <RowNumber
          name={`${at}.length`}
          label="Chain to let run out, 0 for all of it"
          unit="m"
          width={46}
        />
      )}
    </LineOrder>
  );
}

export const anchor: OrderView<'anchor'> = {
  title: 'Anchor',
  add: ({ anchors }) => (anchors.length > 0 ? 'anchor' : null),
  Fields,
  // Hove in, all of it comes.
  read: ({ how }) => (how === 'weigh' ? { length_m: undefined } : {}),
  text({ line, how, length_m }) {
    if (how === 'weigh') return `weigh ${the(line)}`;
    return `drop ${the(line)}${length_m === undefined ? '' : `, veer to ${metres(length_m)}`}`;
  },
  given: ({ line, how }, about) =>
    `${lineOf(line, about)} ${how === 'drop' ? 'dropped' : 'weighed'}`,
};
