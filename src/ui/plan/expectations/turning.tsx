import { SIDES } from '../options';
import type { ExpectationView } from '../part-view';
import { RowChoice } from '../RowFields';

export const turning: ExpectationView<'turning'> = {
  title: 'turning to',
  fresh: { to: 'starboard' },
  Fields: ({ at }) => <RowChoice name={`${at}.to`} label="Turning to" options={SIDES} />,
  text: ({ to }, _units, when) => `turning to ${to} ${when}`,
};
