import { z } from 'zod';
import {
  CUES,
  EXPECTATIONS,
  ORDERS,
  type Choice,
  type Parameter,
  type Parameters,
} from '@/core/plan';
import { compass, degrees, listed, oneOf, radians, within } from './fields';

/**
 * Orders, cues and expectations as a file has them, derived from what the core says their parameters are: a name with its
 * unit behind it, names for what they lead to, left out where it may be.
 */

const UNITS = {
  angle: '_deg',
  heading: '_deg',
  speed: '_mps',
  distance: '_m',
  length: '_m',
  time: '_s',
} as const;
type Units = typeof UNITS;
type UnitOf<P extends Parameter> = P['kind'] extends keyof Units ? Units[P['kind']] : '';

export const GEARS = { ahead: 1, neutral: 0, astern: -1 } as const;
export type GearName = keyof typeof GEARS;

type Numeric = 'angle' | 'heading' | 'speed' | 'distance' | 'length' | 'time' | 'turns' | 'share';

type FileValue<P extends Parameter> =
  P extends Choice<infer C>
    ? C
    : P['kind'] extends Numeric
      ? number
      : P['kind'] extends 'gear'
        ? GearName
        : P['kind'] extends 'flag'
          ? boolean
          : string;

type Flat<T> = { [K in keyof T]: T[K] };

/** Parameters as a file has them, every default filled in. */
export type FileOf<P extends Parameters> = Flat<
  {
    [
      N in keyof P & string as P[N] extends { readonly optional: string }
        ? never
        : `${N}${UnitOf<P[N]>}`
    ]: FileValue<P[N]>;
  } & {
    [
      N in keyof P & string as P[N] extends { readonly optional: string }
        ? `${N}${UnitOf<P[N]>}`
        : never
    ]?: FileValue<P[N]> | undefined;
  }
>;

/** The key under which a file has a parameter. */
export const keyOf = (name: string, { kind }: Parameter): string =>
  `${name}${kind in UNITS ? UNITS[kind as keyof Units] : ''}`;

const name = z.string().min(1, { error: 'choose one' }).max(80);

function valueSchema(p: Parameter): z.ZodType {
  switch (p.kind) {
    case 'angle':
      return within(p.least, p.most, p.lateral ? 'degrees, port negative' : 'degrees');
    case 'heading':
      return compass;
    case 'speed':
      return within(p.least, p.most, 'm/s');
    case 'distance':
    case 'length':
      return within(p.least, p.most, 'm');
    case 'time':
      return within(p.least, p.most, 's');
    case 'turns':
      return within(p.least, p.most, 'turns');
    case 'share':
      return within(p.least, p.most);
    case 'choice':
      return oneOf(p.of as readonly [string, ...string[]]);
    case 'gear':
      return oneOf(['ahead', 'neutral', 'astern']);
    case 'flag':
      return z.boolean();
    case 'text':
      return z
        .string()
        .trim()
        .min(1, { error: p.says })
        .max(p.most, { error: `keep it to ${p.most} characters` });
    default:
      return name;
  }
}

function parameterSchema(p: Parameter): z.ZodType {
  const value = valueSchema(p);
  if ('optional' in p && p.optional) return value.optional();
  return 'fallback' in p && p.fallback !== undefined ? value.default(p.fallback) : value;
}

const shapeOf = (parameters: Parameters): Record<string, z.ZodType> =>
  Object.fromEntries(
    Object.entries(parameters).map(([key, p]) => [keyOf(key, p), parameterSchema(p)]),
  );

/** Key of a parameter of a definition by its name. */
const keyIn = (parameters: Parameters, of: string) => keyOf(of, parameters[of]!);

type OrderFile<D extends { readonly do: string; readonly parameters: Parameters }> = Flat<
  { do: D['do']; after_s: number } & FileOf<D['parameters']>
>;
export type OrderDocument = {
  [D in keyof typeof ORDERS]: OrderFile<(typeof ORDERS)[D]>;
}[keyof typeof ORDERS];

const after_s = within(0, 600, 's').default(0);

const orderSchemas = Object.values(ORDERS).map((definition) => {
  const { parameters } = definition as { readonly parameters: Parameters };
  const schema = z.strictObject({
    do: z.literal(definition.do),
    after_s,
    ...shapeOf(parameters),
  });
  if (!('notBoth' in definition) || !definition.notBoth) return schema;
  const { of, says } = definition.notBoth;
  const [one, two] = of.map((key) => keyIn(parameters, key)) as [string, string];
  const given = (order: unknown, key: string) =>
    (order as Readonly<Record<string, unknown>>)[key] !== undefined;
  return schema.refine((order) => !given(order, one) || !given(order, two), {
    path: [two],
    error: says,
  });
});

export const orderSchema = z.discriminatedUnion('do', orderSchemas as never, {
  error: `do is ${listed(Object.keys(ORDERS))}`,
}) as unknown as z.ZodType<OrderDocument>;

type CueFile<D extends { readonly is: string; readonly parameters: Parameters }> = Flat<
  { is: D['is'] } & FileOf<D['parameters']>
>;
export type SimpleCue = { [I in keyof typeof CUES]: CueFile<(typeof CUES)[I]> }[keyof typeof CUES];
export type CueDocument =
  | SimpleCue
  | { is: 'any'; of: SimpleCue[] }
  | { is: 'all'; of: SimpleCue[] };

const CUE_ERROR = `is one of ${listed([...Object.keys(CUES), 'any', 'all'])}`;

const simpleCues = Object.values(CUES).map((definition) =>
  z.strictObject({ is: z.literal(definition.is), ...shapeOf(definition.parameters as Parameters) }),
);

export const simpleCueSchema = z.discriminatedUnion('is', simpleCues as never, {
  error: CUE_ERROR,
}) as unknown as z.ZodType<SimpleCue>;

const parts = z
  .array(simpleCueSchema)
  .min(1, { error: 'give at least one cue' })
  .max(6, { error: 'at most six cues in a group' });

export const cueSchema = z.discriminatedUnion(
  'is',
  [
    ...simpleCues,
    z.strictObject({ is: z.literal('any'), of: parts }),
    z.strictObject({ is: z.literal('all'), of: parts }),
  ] as never,
  { error: CUE_ERROR },
) as unknown as z.ZodType<CueDocument>;

type ExpectationFile<D extends { readonly is: string; readonly parameters: Parameters }> = Flat<
  { is: D['is']; at: 'next' | { after_s: number } } & FileOf<D['parameters']>
>;
export type ExpectationDocument = {
  [I in keyof typeof EXPECTATIONS]: ExpectationFile<(typeof EXPECTATIONS)[I]>;
}[keyof typeof EXPECTATIONS];

const at = z.union([z.literal('next'), z.strictObject({ after_s: within(0, 600, 's') })], {
  error: "say 'next' or give { after_s: seconds }",
});

const expectationSchemas = Object.values(EXPECTATIONS).map((definition) => {
  const parameters = definition.parameters as Parameters;
  const schema = z.strictObject({ is: z.literal(definition.is), at, ...shapeOf(parameters) });
  if (!('atLeast' in definition) || !definition.atLeast) return schema;
  const { of, says } = definition.atLeast;
  const [more, less] = of.map((key) => keyIn(parameters, key)) as [string, string];
  const number = (expected: unknown, key: string) =>
    (expected as Readonly<Record<string, number>>)[key]!;
  return schema.refine((expected) => number(expected, more) >= number(expected, less), {
    path: [more],
    error: says,
  });
});

export const expectationSchema = z.discriminatedUnion('is', expectationSchemas as never, {
  error: `is one of ${listed(Object.keys(EXPECTATIONS))}`,
}) as unknown as z.ZodType<ExpectationDocument>;

/** How fine a writer writes a figure of a kind, in its unit in a file. */
const PLACES: Readonly<Partial<Record<Parameter['kind'], number>>> = {
  time: 1,
  distance: 1,
  speed: 2,
  heading: 0,
  angle: 0,
};

/** That last place in the core's unit: a figure that changes by less tells no moment. Nought where time itself is the figure. */
export function lastPlace({ kind }: Parameter): number {
  if (kind === 'heading' || kind === 'angle') return radians(1);
  return kind === 'speed' ? 0.01 : kind === 'distance' ? 0.1 : 0;
}

/** A figure of the core as a file would have it, as fine as a writer writes; null where it is out of its bounds. */
export function figureInFile(p: Parameter, value: number): number | null {
  if (!Number.isFinite(value)) return null;
  const places = PLACES[p.kind];
  if (places === undefined) return null;
  if (p.kind === 'heading') return ((Math.round(degrees(value)) % 360) + 360) % 360;
  if (p.kind === 'angle') {
    const angle = Math.round(degrees(value));
    return angle === 0 || Math.abs(angle) > p.most ? null : angle;
  }
  const by = 10 ** places;
  const rounded = Math.round(value * by) / by;
  const { least, most } = p as { readonly least: number; readonly most: number };
  return rounded < least || rounded > most ? null : rounded;
}

/** The parameters of an order, a cue or an expectation of a file. */
export const parametersOf = (part: OrderDocument | SimpleCue | ExpectationDocument): Parameters => {
  if ('do' in part) return ORDERS[part.do].parameters;
  return 'at' in part ? EXPECTATIONS[part.is].parameters : CUES[part.is].parameters;
};

/** The same with every parameter changed as its kind asks; what `change` gives back undefined stays as it is. */
export function withParameters<T extends OrderDocument | SimpleCue>(
  part: T,
  change: (p: Parameter, value: never) => unknown,
): T {
  const now: Record<string, unknown> = { ...part };
  for (const [key, p] of Object.entries(parametersOf(part))) {
    const at = keyOf(key, p);
    if (now[at] === undefined) continue;
    const changed = change(p, now[at] as never);
    if (changed !== undefined) now[at] = changed;
  }
  return now as T;
}
