import type { CueDocument, OrderDocument, PlanDocument, StepDocument } from '@/document';
import { simpleCueText } from '../plan/cues';
import { toldText } from '../plan/orders';
import { tidy, type Units } from './units';

/** A cue as a crew would hear it: "mast abreast of pile 4". */
export function cueText(cue: CueDocument, units: Units): string {
  if (cue.is !== 'any' && cue.is !== 'all') return simpleCueText(cue, units);
  return cue.of.map((part) => simpleCueText(part, units)).join(cue.is === 'any' ? ' or ' : ' and ');
}

export function orderText(order: OrderDocument, units: Units): string {
  const late = order.after_s > 0 ? ` after ${tidy(order.after_s, 1)} s` : '';
  return toldText(order, units) + late;
}

/** What the hands do at a step, calls left out unless there is nothing else: "neutral, wheel 25° starboard". */
export function ordersText(orders: readonly OrderDocument[], units: Units): string {
  const hands = orders.filter((order) => order.do !== 'call');
  const those = hands.length > 0 ? hands : orders;
  return those.length > 0
    ? those.map((order) => orderText(order, units)).join(', ')
    : 'nothing to do';
}

/** "step 3", or "the end". */
export const stepName = (plan: PlanDocument, step: number): string =>
  step >= plan.steps.length ? 'the end' : `step ${step + 1}`;

/** A step as it is said: "sternway or there, and still: astern, in and out of gear". */
export const stepSentence = ({ cue, orders, title }: StepDocument, units: Units): string => {
  const said =
    orders.length > 0 ? orders.map((order) => orderText(order, units)).join(', ') : title;
  return cue.is === 'start' ? said : `${cueText(cue, units)}: ${said}`;
};
