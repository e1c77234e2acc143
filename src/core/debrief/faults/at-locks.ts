import { SIGN_HOLDS_S, ONE_PADDLE_MOVE_S } from '../../policy';
import type { Review } from '../context';
import type { FaultRule } from './rule';

/** Moments somebody of the crew began to wind a paddle further open. */
function paddlesUp({ run }: Review) {
  return run.events.flatMap((event) =>
    event.is === 'lock' && event.what === 'paddle up' && event.who !== null
      ? [{ time: event.time, who: event.who }]
      : [],
  );
}

/** A paddle wound without the helm's sign, and by whom. */
interface PaddleWithoutSign {
  readonly who: number;
}

/** A paddle was wound up with no sign from the helm that the boat is held since the move before. */
export const paddleWithoutSign: FaultRule<'paddle without sign', PaddleWithoutSign> = {
  id: 'paddle without sign',
  find(review) {
    const signs = review.orders.flatMap(({ time, order }) => (order.do === 'signal' ? [time] : []));
    let moved = -Infinity;
    return paddlesUp(review).flatMap(({ time, who }) => {
      const before = moved;
      moved = time;
      if (time - before <= ONE_PADDLE_MOVE_S) return [];
      const seen = signs.some((at) => at <= time && at >= Math.max(before, time - SIGN_HOLDS_S));
      if (seen) return [];
      return [{ time, until: time, figures: { who } }];
    });
  },
};

/** Over the cill in a falling chamber: seconds the boat had left, if it was to hang, and whether it did. */
interface OverTheCill {
  readonly left: number | null;
  readonly hung: boolean;
}

/** The boat lay over the cill while the chamber fell. */
export const overTheCill: FaultRule<'over the cill', OverTheCill> = {
  id: 'over the cill',
  find({ run }) {
    return run.events.flatMap((event) => {
      if (event.is !== 'lock' || event.what !== 'over the cill') return [];
      const hung = run.events.find(
        (later) => later.is === 'lock' && later.what === 'on the cill' && later.time >= event.time,
      );
      const figures = { left: event.seconds ?? null, hung: hung !== undefined };
      const until = hung?.time ?? event.time;
      return [{ time: event.time, until, figures }];
    });
  },
};

const GRIPS = {
  wedged: 'hangs wedged',
  'on a gate': 'caught on a gate',
  'under the coping': 'caught under the coping',
} as const;
const BY = { wedged: 'sides', 'on a gate': 'gate', 'under the coping': 'coping' } as const;
const isGrip = (what: string): what is keyof typeof GRIPS => what in GRIPS;

/** Wedged between the sides of a chamber, or an end on a gate, as the level went: seconds the boat had left, and whether it hung. */
interface GrippedInLock {
  readonly by: 'sides' | 'gate' | 'coping';
  readonly left: number | null;
  readonly hung: boolean;
}

/** The boat was wedged between the sides of a chamber, or an end of its lay on a gate, as the level went. */
export const grippedInLock: FaultRule<'gripped in a lock', GrippedInLock> = {
  id: 'gripped in a lock',
  find({ run }) {
    return run.events.flatMap((event) => {
      if (event.is !== 'lock' || !isGrip(event.what)) return [];
      const { what } = event;
      const ends = run.events.find(
        (later) =>
          later.is === 'lock' &&
          later.time >= event.time &&
          (later.what === 'free again' || later.what === GRIPS[what]),
      );
      const hung = ends?.is === 'lock' && ends.what !== 'free again';
      const figures = { by: BY[what], left: event.seconds ?? null, hung };
      const until = ends?.time ?? event.time;
      return [{ time: event.time, until, figures }];
    });
  },
};

/** A line made fast in a falling chamber. */
interface LineFastInLock {
  readonly line: number;
  readonly hung: boolean;
  readonly parted: boolean;
}

/** A line was made fast in a chamber that fell; in the end it takes the boat's weight. */
export const lineFastInLock: FaultRule<'line fast in a lock', LineFastInLock> = {
  id: 'line fast in a lock',
  find({ run }) {
    return run.events.flatMap((event) => {
      if (event.is !== 'line' || event.what !== 'fast too long') return [];
      const { line, time } = event;
      const worse = run.events.find(
        (later) =>
          later.is === 'line' &&
          later.line === line &&
          later.time >= time &&
          (later.what === 'hangs her' || later.what === 'parted'),
      );
      const parted = worse?.is === 'line' && worse.what === 'parted';
      const figures = { line, hung: worse !== undefined, parted };
      return [{ time, until: worse?.time ?? time, figures }];
    });
  },
};
