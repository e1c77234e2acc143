import { shareText } from '../../words/locks';
import { named } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';
import { useNames } from '../use-names';
import { LockOrder } from './lock-order';

function Fields({ at, values }: FieldsProps) {
  const { locks } = useNames();
  const paddles = locks.find(({ name }) => name === values.lock)?.paddles ?? [];
  return (
    <LockOrder at={at}>
      <RowChoice name={`${at}.paddle`} label="Which paddle" options={named(paddles)} />
      <RowNumber name={`${at}.to`} label="Wound up to, 0 for down" unit="% up" width={46} />
    </LockOrder>
  );
}

export const paddle: OrderView<'paddle'> = {
  title: 'Paddle',
  add: ({ locks }) => (locks.length > 0 ? 'a paddle' : null),
  fresh: { to: 50 },
  Fields,
  text: ({ paddle: which, to }) => `wind ${which} ${shareText(to)}`,
  given: ({ paddle: which, to }) => `paddle ${which + 1} ${shareText(to)}`,
};
