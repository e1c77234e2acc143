import { anchor } from './anchor';
import { call } from './call';
import type { OrderOf } from './definition';
import { engine } from './engine';
import { gates } from './gates';
import { go } from './go';
import { joystick } from './joystick';
import { letGo } from './let-go';
import { other } from './other';
import { paddle } from './paddle';
import { pass } from './pass';
import { signal } from './signal';
import { steer } from './steer';
import { steerFor } from './steer-for';
import { stepAboard } from './step-aboard';
import { stepAshore } from './step-ashore';
import { tend } from './tend';
import { thruster } from './thruster';
import { wheel } from './wheel';

/** Every order there is, by its name. */
export const ORDERS = {
  wheel,
  steer,
  steerFor,
  engine,
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

type By<B extends string> = {
  [D in OrderName]: Orders[D]['by'] extends B ? OrderOf<Orders[D]> : never;
}[OrderName];

/** What people do. */
export type HandsOrder = By<'crew'>;
/** What the helm does, what is called, and what another boat's helm does. */
export type ControlOrder = By<'helm' | 'other boat' | 'voice'>;

/** Is it for people rather than for the helm? */
export const isForHands = (order: Order): order is HandsOrder => ORDERS[order.do].by === 'crew';
