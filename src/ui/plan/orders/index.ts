import { ORDERS, type Order, type OrderName } from '@/core/plan';
import type { OrderDocument } from '@/document';
import {
  toValues,
  fromValues,
  freshValues,
  type FirstNames,
  type PartValues,
} from '../part-values';
import type { About, OrderView } from '../part-view';
import type { Units } from '../../words/units';
import { anchor } from './anchor';
import { call } from './call';
import { engine } from './engine';
import { gates } from './gates';
import { go } from './go';
import { holdStation } from './hold-station';
import { joystick } from './joystick';
import { keepLine } from './keep-line';
import { keepWay } from './keep-way';
import { letGo } from './let-go';
import { motorOn } from './motor-on';
import { moveSideways } from './move-sideways';
import { other } from './other';
import { paddle } from './paddle';
import { pass } from './pass';
import { shiftAlong } from './shift-along';
import { shortRound } from './short-round';
import { signal } from './signal';
import { slideIn } from './slide-in';
import { steer } from './steer';
import { steerFor } from './steer-for';
import { stepAboard } from './step-aboard';
import { stepAshore } from './step-ashore';
import { stopAbreast } from './stop-abreast';
import { tend } from './tend';
import { thruster } from './thruster';
import { wheel } from './wheel';
import { workClear } from './work-clear';
import { workIn } from './work-in';

/** How every order looks, in the order they are offered. */
export const ORDER_VIEWS: { readonly [D in OrderName]: OrderView<D> } = {
  wheel,
  steer,
  steerFor,
  keepLine,
  engine,
  keepWay,
  stopAbreast,
  shortRound,
  shiftAlong,
  moveSideways,
  holdStation,
  slideIn,
  motorOn,
  workIn,
  workClear,
  thruster,
  joystick,
  call,
  pass,
  tend,
  letGo,
  anchor,
  paddle,
  gates,
  signal,
  other,
  stepAshore,
  stepAboard,
  go,
};

/** The view of an order whose kind is not known beforehand. */
export const viewOfOrder = (name: OrderName): OrderView<OrderName> =>
  ORDER_VIEWS[name] as unknown as OrderView<OrderName>;

/** An order as a row of fields: some seconds after the cue, then what. */
export interface OrderRow {
  do: OrderName;
  after: number;
  values: PartValues;
}

export const freshOrder = (name: OrderName, first: FirstNames): OrderRow => ({
  do: name,
  after: 0,
  values: freshValues(ORDERS[name].parameters, viewOfOrder(name), first),
});

export function orderRow(order: OrderDocument, units: Units): OrderRow {
  const view = viewOfOrder(order.do);
  const values = toValues(ORDERS[order.do].parameters, order, view, units);
  return {
    do: order.do,
    after: order.after_s,
    values: { ...values, ...view.show?.(order) },
  };
}

/** The order the fields describe, not yet checked. */
export function orderFrom({ do: name, after, values }: OrderRow, units: Units): OrderDocument {
  const view = viewOfOrder(name);
  const said = fromValues(ORDERS[name].parameters, values, view, units);
  const order = { do: name, after_s: after, ...said, ...view.read?.(values) };
  const kept = Object.entries(order).filter(([, value]) => value !== undefined);
  return Object.fromEntries(kept) as unknown as OrderDocument;
}

/** What is done, without who does it and when: "haul the bow line in". */
export const taskText = (order: OrderDocument, units: Units): string =>
  viewOfOrder(order.do).text(order, units);

/** The same with who is told: "Ada: haul the bow line in". */
export const toldText = (order: OrderDocument, units: Units): string => {
  const task = taskText(order, units);
  return 'by' in order && order.by !== undefined ? `${order.by}: ${task}` : task;
};

/** An order of a run, told afterwards: "ahead 40 %", "wheel 20° starboard". */
export const givenText = (order: Order, about: About): string =>
  viewOfOrder(order.do).given(order, about);
