import { the } from '../../words/lines';
import type { FieldsProps, OrderView } from '../part-view';
import { lineOf, LineOrder } from './line-order';

export const letGo: OrderView<'letGo'> = {
  title: 'Let go',
  add: ({ ropes }) => (ropes.length > 0 ? 'let go' : null),
  Fields: (props: FieldsProps) => <LineOrder {...props} lines="ropes" />,
  text: ({ line }) => `let go ${the(line)}`,
  given: ({ line }, about) => `${lineOf(line, about)} let go`,
};
