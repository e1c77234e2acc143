import { threeFigures } from '../../words/helm';
import { worded } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';
import { SpotFields, spotText } from './working-fields';

const ROUND = worded({
  shorter: 'the shorter way',
  port: 'by port',
  starboard: 'by starboard',
});

function Fields({ at }: FieldsProps) {
  return (
    <>
      <span>until heading</span>
      <RowNumber name={`${at}.heading`} label="Heading to turn to" unit="°" width={46} />
      <span>within</span>
      <RowNumber name={`${at}.headingWithin`} label="Heading within" unit="°" width={46} />
      <RowChoice name={`${at}.side`} label="Round which way" options={ROUND} />
      <SpotFields at={at} />
    </>
  );
}

export const shortRound: OrderView<'shortRound'> = {
  title: 'Short round',
  add: ({ engines }) => (engines.length > 0 ? 'turn short round to a heading' : null),
  fresh: { heading: 0, headingWithin: 10 },
  Fields,
  text: (order) =>
    `turn short round${order.side === 'shorter' ? '' : ` by ${order.side}`}, ahead and astern, until ${threeFigures(order.heading_deg)}${spotText(order)}`,
  given: ({ side }) =>
    side === 'shorter' ? 'turned short round' : `turned short round by ${side}`,
};
