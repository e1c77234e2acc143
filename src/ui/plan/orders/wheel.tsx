import { DEGREES_PER_RADIAN } from '@/core/units';
import { wheelText } from '../../words/helm';
import { SIDES } from '../options';
import type { OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';

export const wheel: OrderView<'wheel'> = {
  title: 'Wheel',
  add: (_names, { steering }) => steering.control,
  Fields: ({ at }) => (
    <>
      <RowNumber name={`${at}.angle`} label="Rudder angle" unit="°" width={46} />
      <RowChoice name={`${at}.angleSide`} label="Wheel to" options={SIDES} />
    </>
  ),
  text: ({ angle_deg }) => wheelText(angle_deg),
  given: ({ angle }) => wheelText(angle * DEGREES_PER_RADIAN),
};
