import type { RunInput, Take } from '../score';

/** Something in a score worth a second look, found in how it plays. SI; what `figure` and `limit` are is the rule's. */
export interface Finding {
  readonly rule: RuleName;
  /** Index of the beat it belongs to. */
  readonly beat: number;
  readonly time: number;
  readonly figure: number;
  readonly limit: number;
  /** Engine or thruster it is about, if there are several. */
  readonly which: string | null;
}

export const RULE_NAMES = [
  'steering late',
  'no pause in neutral',
  'against her way',
  'left in gear',
  'much throttle close in',
  'thruster long on',
  'beats at once',
  'order overtaken',
  'no way out written',
  'hands not there',
  'turned before it opens',
  'unseen from the helm',
] as const;
export type RuleName = (typeof RULE_NAMES)[number];

/** Looks through a take for one kind of mistake. */
export type Rule = (input: RunInput, take: Take) => readonly Finding[];

/** Beat running at a moment, by index. */
export function beatAt(take: Take, time: number): number {
  let beat = 0;
  for (const mark of take.beats) if (mark.time <= time + 1e-9) beat = mark.beat;
  return beat;
}

/** Index of the first sample at or after a moment. */
export function sampleAt({ trace: { time } }: Take, at: number): number {
  const found = time.findIndex((t) => t >= at - 1e-9);
  return found < 0 ? time.length - 1 : found;
}

/** Only the first of several findings of one rule in one beat, for one engine or thruster. */
export function oncePerBeat(findings: readonly Finding[]): readonly Finding[] {
  const seen = new Set<string>();
  return findings.filter(({ beat, which }) => {
    const key = `${beat} ${which}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** Gear orders of one engine in a take, in the order they were given. */
export interface GearOrder {
  readonly time: number;
  readonly beat: number;
  readonly gear: -1 | 0 | 1;
  readonly throttle: number;
}

export function gearOrders(take: Take, engine: number): readonly GearOrder[] {
  return take.events.flatMap((event) => {
    if (event.is !== 'order' || event.order.do !== 'engine') return [];
    if (event.order.engine !== null && event.order.engine !== engine) return [];
    const { gear, throttle } = event.order;
    return [{ time: event.time, beat: Math.max(0, event.beat), gear, throttle }];
  });
}

/** Name of an engine where there is more than one. */
export function engineName({ boat }: RunInput, engine: number): string | null {
  return boat.drives.length > 1 ? boat.drives[engine]!.name : null;
}
