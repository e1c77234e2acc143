import { wrapTurn } from '@/core/math';
import { ORDERS, type Order, type Parameter, type RunEvent } from '@/core/plan';
import { degrees } from './fields';
import type { PlanDocument } from './plan';

export const headingOf = (psi: number) => degrees(wrapTurn(psi));

const GEARS = { '-1': 'astern', '0': 'neutral', '1': 'ahead' } as const;

/** What a parameter of an order says, by its kind; null where it says nothing. Who does it is said before. */
function parameterText(
  name: string,
  p: Parameter,
  value: unknown,
  { lines }: PlanDocument,
): string | null {
  if (value === null || value === undefined) return null;
  const number = value as number;
  switch (p.kind) {
    case 'angle':
      return `${degrees(number).toFixed(0)}°`;
    case 'heading':
      return `${headingOf(number).toFixed(0)}°`;
    case 'share':
      return `${name} ${Math.round(100 * number)} %`;
    case 'length':
    case 'distance':
      return `${number.toFixed(1)} m`;
    case 'speed':
      return `${number.toFixed(2)} m/s`;
    case 'time':
      return `${number.toFixed(1)} s`;
    case 'turns':
      return `${number} turns`;
    case 'gear':
      return GEARS[`${number as -1 | 0 | 1}`];
    case 'flag':
      return value === true ? name : null;
    case 'choice':
    case 'text':
      return value as string;
    case 'line':
    case 'rope':
    case 'anchor':
      return lines[number]?.name ?? '';
    case 'person':
    case 'hand':
    case 'keeper':
      return null;
    case 'boat':
      return `boat ${number}`;
    case 'engine':
    case 'thruster':
    case 'lock':
    case 'paddle':
      return `${p.kind} ${number + 1}`;
    case 'mark':
    case 'point':
    case 'anyPoint':
    case 'lineEnd':
      return (value as { readonly name: string }).name;
  }
}

/** An order of a run: "wheel: -12°", "Ada: pass: bow line, cleat 3, drop". */
function orderText(order: Order, plan: PlanDocument): string {
  const parameters: Readonly<Record<string, Parameter>> = ORDERS[order.do].parameters;
  const values = order as unknown as Readonly<Record<string, unknown>>;
  const said = Object.entries(parameters).flatMap(
    ([name, p]) => parameterText(name, p, values[name], plan) ?? [],
  );
  const by = 'by' in order && order.by !== null ? `${plan.crew[order.by]?.name ?? ''}: ` : '';
  const what = order.do.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return said.length > 0 ? `${by}${what}: ${said.join(', ')}` : `${by}${what}`;
}

/** An event of a run in words, for files and the command line. */
export function eventText(event: RunEvent, plan: PlanDocument): string {
  switch (event.is) {
    case 'order':
      return orderText(event.order, plan);
    case 'expectation failed':
      return `expected ${event.expectation.is}, found ${event.found.toFixed(3)}`;
    case 'cue never came':
      return `waited ${event.waited.toFixed(1)} s`;
    case 'line':
      return `${plan.lines[event.line]?.name ?? ''} ${event.what}`;
    case 'lock':
      return event.seconds === undefined
        ? event.what
        : `${event.what}, ${event.seconds.toFixed(0)} s left`;
    case 'crew':
      return `${plan.crew[event.who]?.name ?? ''} ${event.what}`;
    default:
      return '';
  }
}
