import {
  CUES,
  EXPECTATIONS,
  ORDERS,
  type Cue,
  type Expectation,
  type Order,
  type Parameter,
  type Parameters,
  type SimpleCue as CoreCue,
  type TimedOrder,
} from '@/core/plan';
import { radians } from './fields';
import type { Names } from './names';
import {
  GEARS,
  keyOf,
  type CueDocument,
  type ExpectationDocument,
  type GearName,
  type OrderDocument,
  type SimpleCue,
} from './plan-codec';

/** Orders, cues and expectations of a file as the core takes them: SI and radians, names looked up. */

type Given = Readonly<Record<string, unknown>>;

/** The value of a parameter in the core; a name that leads nowhere is noted in `names`. */
function valueOf(key: string, p: Parameter, document: Given, names: Names, path: string): unknown {
  const given = document[keyOf(key, p)];
  // A boat without an engine is told of where an order means all there are.
  if (given === undefined && p.kind !== 'engine')
    return 'optional' in p && p.optional === 'nothing' ? undefined : null;
  const named = given as string;
  switch (p.kind) {
    case 'angle':
    case 'heading':
      return radians(given as number);
    case 'gear':
      return GEARS[given as GearName];
    case 'engine':
      return names.engine(given as string | undefined, path);
    case 'thruster':
      return names.thruster(named, path);
    case 'line':
      return names.line(named, path);
    case 'rope':
      return names.rope(named, path);
    case 'anchor':
      return names.anchor(named, path);
    case 'person':
      return key === 'who' ? names.somebody(named, path) : (names.person(named, path) ?? 0);
    case 'hand':
      return names.handOn(document.line as string, named, path);
    case 'keeper':
      return names.person(named, path);
    case 'boat':
      return names.boat(named, path, 'boat');
    case 'lock':
      return names.lock(named, path);
    case 'paddle':
      return names.paddle(document.lock as string, named, path);
    case 'mark':
      return names.mark(named, path);
    case 'point':
      return names.point(named, path);
    case 'anyPoint':
      return names.pointOfAny(named, path);
    case 'lineEnd':
      return names.lineEnd(named, path);
    default:
      return given;
  }
}

function valuesOf(parameters: Parameters, document: Given, names: Names, path: string): Given {
  const entries = Object.entries(parameters).map(
    ([key, p]) => [key, valueOf(key, p, document, names, path)] as const,
  );
  return Object.fromEntries(entries.filter(([, value]) => value !== undefined));
}

/** An order as the core gives it; names that lead nowhere are noted in `names`. */
export function toOrder(document: OrderDocument, names: Names, path: string): TimedOrder {
  const definition = ORDERS[document.do];
  const needs = 'needs' in definition ? definition.needs : undefined;
  if (needs === 'steering') names.helm(path);
  if (needs === 'engine') names.engines(path);
  if (needs === 'joystick') names.joystick(path);
  const values = valuesOf(definition.parameters, document, names, path);
  return { after: document.after_s, order: { do: document.do, ...values } as Order };
}

function toSimpleCue(document: SimpleCue, names: Names, path: string): CoreCue {
  const values = valuesOf(CUES[document.is].parameters, document, names, path);
  return { is: document.is, ...values } as CoreCue;
}

export function toCue(document: CueDocument, names: Names, path: string): Cue {
  if (document.is !== 'any' && document.is !== 'all') return toSimpleCue(document, names, path);
  const of = document.of.map((part, i) => toSimpleCue(part, names, `${path}.of[${i}]`));
  return { is: document.is, of };
}

export function toExpectation(
  document: ExpectationDocument,
  names: Names,
  path: string,
): Expectation {
  const values = valuesOf(EXPECTATIONS[document.is].parameters, document, names, path);
  const when = document.at === 'next' ? 'next' : { after: document.at.after_s };
  return { is: document.is, at: when, ...values } as Expectation;
}
