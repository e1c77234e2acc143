import { z } from 'zod';
import { sidesOf, type ForSide } from '@/core/brief';
import {
  boatSchema,
  conditionsSchema,
  failure,
  placeSchema,
  SIDES,
  success,
  toWeather,
  type Boat,
  type Conditions,
  type Manoeuvre,
  type Place,
  type Result,
  type Side,
} from '@/document';
import { beginPassage, PASSAGES, type Passage } from './beginnings/begin-passage';
import { groundOf, lyingIn, stuckIn, type Lying } from './berths';

/** What a manoeuvre may be begun with: a boat at a place, in a berth or before a lock. */
export interface Wish {
  readonly boat: Boat;
  readonly place: Place;
  readonly conditions: Conditions;
  readonly berthId: string | null;
  readonly passage: { readonly lockId: string; readonly going: Passage } | null;
}

export const wishSchema = z.strictObject({
  boat: boatSchema,
  place: placeSchema,
  conditions: conditionsSchema,
  berthId: z.string().nullable(),
  passage: z.strictObject({ lockId: z.string(), going: z.enum(PASSAGES) }).nullable(),
}) as unknown as z.ZodType<Wish>;

/** A boat as it would lie with one side to a berth, and what it would lie in there; null where it fits. */
export interface LyingThere extends Lying {
  readonly stuck: ReturnType<typeof stuckIn>;
}

/** What a wish comes to, before it is begun. */
export interface Outlook {
  readonly berthId: string | null;
  readonly lying: Readonly<Record<Side, LyingThere>> | null;
  /** What speaks for either side, the better one first. */
  readonly sides: readonly ForSide[];
  /** Where the boat would come from to a lock; or why it cannot. */
  readonly start: Result<Manoeuvre['start']> | null;
}

/** How a boat would lie in the berth wished for, and where it would begin before the lock wished for. */
export function outlookOf({ boat, place, conditions, berthId, passage }: Wish): Outlook {
  const berth = place.berths.find(({ id }) => id === berthId);
  const passing =
    passage && beginPassage({ id: 'new', title: 'new', boat, place, conditions, ...passage });
  const start =
    passing && (passing.ok ? success(passing.value.start) : failure(...passing.problems));
  if (!berth) return { berthId, lying: null, sides: [], start };
  const ground = groundOf(boat, place);
  const lyingWith = (side: Side): LyingThere => {
    const lying = lyingIn(place, berth, boat, side);
    return { ...lying, stuck: stuckIn(ground, lying) };
  };
  const [port, starboard] = SIDES.map(lyingWith) as [LyingThere, LyingThere];
  const headings = { port: port.heading, starboard: starboard.heading };
  const sides = sidesOf(ground.craft, toWeather(conditions, place), headings);
  return { berthId, lying: { port, starboard }, sides, start };
}
