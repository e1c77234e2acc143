import { named } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowMark } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { marks, points } = useNames();
  return (
    <>
      <span>with the</span>
      <RowChoice name={`${at}.point`} label="Point of the boat" options={named(points)} />
      <span>abreast of</span>
      <RowMark name={`${at}.mark`} label="Mark to stop abreast of" options={named(marks)} />
    </>
  );
}

export const stopAbreast: OrderView<'stopAbreast'> = {
  title: 'Stop',
  add: ({ engines, marks }) =>
    engines.length > 0 && marks.length > 0 ? 'stop abreast of a mark' : null,
  Fields,
  text: ({ point, mark }) => `stop with the ${point} abreast of ${mark}`,
  given: ({ mark }) => `stopping abreast of ${mark.name}`,
};
