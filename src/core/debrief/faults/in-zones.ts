import { cos, isInside, sin } from '../../math';
import type { Zone } from '../../plan';
import { THROTTLE_THAT_WASHES, WASH_LASTS_S } from '../../policy';
import { poseAt, waterSpeedAt, type Review } from '../context';
import type { FaultRule } from './rule';

const zonesWith = ({ input }: Review, rule: Zone['rule']) =>
  (input.zones ?? []).filter((zone) => zone.rule === rule);

/** Samples at which any corner of the boat's deck is in a zone. */
function* samplesIn({ trace, world }: Review, { outline }: Zone): Generator<number> {
  const { deck } = world.craft.spec.hull;
  for (let i = 0; i < trace.time.length; i++) {
    const { x, y, heading } = poseAt(trace, i);
    const s = sin(heading);
    const c = cos(heading);
    for (let k = 0; k < deck.length; k += 2) {
      const east = x + deck[k]! * s + deck[k + 1]! * c;
      if (!isInside(outline, east, y + deck[k]! * c - deck[k + 1]! * s)) continue;
      yield i;
      break;
    }
  }
}

/** Some of the boat was in water that is to be kept out of. */
interface InForbiddenWater {
  readonly what: string;
  readonly seconds: number;
}

/** In water that is to be kept out of. */
export const inForbiddenWater: FaultRule<'in no-go water', InForbiddenWater> = {
  id: 'in no-go water',
  find(review) {
    const { time } = review.trace;
    return zonesWith(review, 'keep out').flatMap((zone) => {
      const inside = [...samplesIn(review, zone)];
      if (inside.length === 0) return [];
      const [from, until] = [time[inside[0]!]!, time[inside.at(-1)!]!];
      const figures = { what: zone.name, seconds: until - from };
      return [{ time: from, until, figures }];
    });
  },
};

/** Wash where it harms: fastest through the water there, what is allowed, and the most throttle. */
interface Wash {
  readonly what: string;
  readonly speed: number;
  readonly most: number;
  readonly throttle: number;
}

/** Wash where it does harm: too fast through the water, or strong throttle. */
export const wash: FaultRule<'wash', Wash> = {
  id: 'wash',
  find(review) {
    const { trace } = review;
    const throttleAt = (i: number) =>
      Math.max(0, ...trace.engines.map(({ gear, throttle }) => (gear[i] === 0 ? 0 : throttle[i]!)));
    return zonesWith(review, 'no wash').flatMap((zone) => {
      let seconds = 0;
      let fastest = 0;
      let throttle = 0;
      let first = -1;
      let last = 0;
      for (const i of samplesIn(review, zone)) {
        const speed = waterSpeedAt(trace, trace.time[i]!);
        const given = throttleAt(i);
        if (speed <= zone.most && given < THROTTLE_THAT_WASHES) continue;
        seconds += i > 0 ? trace.time[i]! - trace.time[i - 1]! : 0;
        fastest = Math.max(fastest, speed);
        throttle = Math.max(throttle, given);
        if (first < 0) first = trace.time[i]!;
        last = trace.time[i]!;
      }
      if (seconds < WASH_LASTS_S) return [];
      const figures = { what: zone.name, speed: fastest, most: zone.most, throttle };
      return [{ time: first, until: last, figures }];
    });
  },
};
