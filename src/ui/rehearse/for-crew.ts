import type { OrderDocument } from '@/document';

export type CrewOrder = Extract<
  OrderDocument,
  {
    do:
      | 'pass'
      | 'tend'
      | 'letGo'
      | 'anchor'
      | 'stepAshore'
      | 'stepAboard'
      | 'go'
      | 'paddle'
      | 'gates'
      | 'other'
      | 'signal';
  }
>;
export type HandsOrder = Exclude<CrewOrder, { do: 'other' | 'signal' }>;

const HANDS: ReadonlySet<OrderDocument['do']> = new Set([
  'pass',
  'tend',
  'letGo',
  'anchor',
  'stepAshore',
  'stepAboard',
  'go',
  'paddle',
  'gates',
]);

/** Is it done by hand, by somebody who is not at the controls? */
export const isForHands = (order: OrderDocument): order is HandsOrder => HANDS.has(order.do);

/** Is it anything but the helm's: hands, other boats, and the sign that goes with them? */
export const isForCrew = (order: OrderDocument): order is CrewOrder =>
  isForHands(order) || order.do === 'other' || order.do === 'signal';
