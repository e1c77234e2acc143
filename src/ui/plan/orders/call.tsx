import type { OrderView } from '../part-view';
import { RowText } from '../RowFields';

export const call: OrderView<'call'> = {
  title: 'Call',
  add: () => 'call',
  Fields: ({ at }) => <RowText name={`${at}.text`} label="What is called" />,
  text: ({ text }) => `“${text}”`,
  given: ({ text }) => `“${text}”`,
};
