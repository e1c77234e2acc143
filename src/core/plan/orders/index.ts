import { anchor } from './anchor';
import { call } from './call';
import type { OrderOf } from './definition';
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

/** Every order there is, by its name. */
export const ORDERS = {
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
  pass,
  tend,
  letGo,
  anchor,
  stepAshore,
  stepAboard,
  go,
  paddle,
  gates,
  signal,
  other,
  call,
} as const;

export type Orders = typeof ORDERS;
export type OrderName = keyof Orders;
export type Order = { [D in OrderName]: OrderOf<Orders[D]> }[OrderName];

type By<B extends Doer> = Extract<Order, { readonly do: DoneBy<B> }>;

/** What people do. */
export type CrewOrder = By<'crew'>;
/** What the helm does, what is called, and what another boat's helm does. */
export type ControlOrder = By<'helm' | 'other boat' | 'voice'>;

/** Does somebody watch what comes of it, and say when it is done? */
export function isWatched({ do: name }: { readonly do: OrderName }): boolean {
  const definition = ORDERS[name];
  return 'watches' in definition || ('byEye' in definition && definition.needs === 'engine');
}

/** Whoever does an order. */
export type Doer = Orders[OrderName]['by'];
type DoneBy<B extends Doer> = {
  [D in OrderName]: Orders[D]['by'] extends B ? D : never;
}[OrderName];

/** Is it done by one of these? Of an order as the core or as a file has it. */
export function isDoneBy<O extends { readonly do: OrderName }, B extends Doer>(
  order: O,
  ...by: readonly B[]
): order is Extract<O, { readonly do: DoneBy<B> }> {
  const doers: readonly Doer[] = by;
  return doers.includes(ORDERS[order.do].by);
}
