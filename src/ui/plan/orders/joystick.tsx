import { joystickText } from '../../words/helm';
import type { OrderView } from '../part-view';
import { RowNumber } from '../RowFields';

export const joystick: OrderView<'joystick'> = {
  title: 'Joystick',
  add: (_names, boat) => (boat.joystick ? 'joystick' : null),
  Fields: ({ at }) => (
    <>
      <RowNumber name={`${at}.ahead`} label="Ahead, astern negative" unit="% ahead" width={46} />
      <RowNumber
        name={`${at}.sideways`}
        label="To starboard, port negative"
        unit="% to starboard"
        width={46}
      />
      <RowNumber
        name={`${at}.twist`}
        label="Bow to starboard, port negative"
        unit="% bow to starboard"
        width={46}
      />
    </>
  ),
  text: ({ ahead, sideways, twist }) => joystickText(ahead, sideways, twist),
  given: ({ ahead, sideways, twist }) => joystickText(ahead, sideways, twist),
};
