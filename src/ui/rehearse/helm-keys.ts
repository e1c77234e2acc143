import type { Boat } from '@/document';
import { notched } from './helm-orders';
import { engineAt, thrusterAt, type HelmAction } from './keys';
import { RATES, type Live } from './live';

/** Degrees the wheel goes at a press while the boat stands still. */
const STILL_WHEEL_DEG = 5;
/** How far a key pushes the joystick. */
const STICK = 0.6;
const STEP_BACK_S = 5;

/** Notches every lever, or one of them. */
export function notch(live: Live, which: number | null, by: 1 | -1): void {
  live.move((helm) => ({
    ...helm,
    levers: helm.levers.map((lever, i) =>
      which === null || which === i ? notched(lever, by) : lever,
    ),
  }));
}

export function neutral(live: Live): void {
  live.move((helm) => ({
    ...helm,
    levers: helm.levers.map(() => ({ gear: 'neutral', throttle: 0 })),
  }));
}

export function stepBack(live: Live): void {
  const { now } = live.store.getState();
  if (now && now.time > 0) void live.retry(now.time - STEP_BACK_S);
}

export function runOrPause(live: Live): void {
  if (live.store.getState().status === 'running') void live.pause();
  else live.run();
}

/** What a key finds at the helm: the drive, which other keys are held, and the keys of a lock. */
export interface AtHelm {
  readonly live: Live;
  readonly held: ReadonlySet<HelmAction>;
  readonly worksLock: (action: HelmAction) => void;
}

/** What a key does as it goes down, and again as it repeats where it is not `once`; and as it comes up. */
export interface HelmKey {
  readonly once?: true;
  press(at: AtHelm, repeated: boolean): void;
  release?(at: AtHelm): void;
}

/** A held wheel key turns with time, frame by frame, while the boat goes. */
const wheel = (way: 1 | -1): HelmKey => ({
  press({ live }) {
    const { helm, status } = live.store.getState();
    if (status !== 'running' && helm) live.turnWheel(helm.wheel + way * STILL_WHEEL_DEG);
  },
});

/** A lever that reaches neutral stays there while its key repeats. */
const lever = (of: (boat: Boat) => number | null, by: 1 | -1): HelmKey => ({
  press({ live }, repeated) {
    const which = of(live.file.boat);
    if (which !== null && which < 0) return;
    const now = live.store.getState().helm?.levers[which ?? 0];
    if (!repeated || now?.gear !== 'neutral') notch(live, which, by);
  },
});
const all = () => null;
const first = (boat: Boat) => engineAt(boat, 'port');
const last = (boat: Boat) => engineAt(boat, 'starboard');

function push(live: Live, end: 'bow' | 'stern', power: number): void {
  const thruster = thrusterAt(live.file.boat, end);
  if (thruster < 0) return;
  live.move((helm) => ({
    ...helm,
    thrusters: helm.thrusters.map((now, i) => (i === thruster ? power : now)),
  }));
}
const thruster = (end: 'bow' | 'stern', power: 1 | -1): HelmKey => ({
  press: ({ live }) => push(live, end, power),
  release: ({ live }) => push(live, end, 0),
});

/** The stick as the held keys put it. */
function setStick({ live, held }: AtHelm): void {
  if (!live.file.boat.joystick) return;
  const axis = (more: HelmAction, less: HelmAction) =>
    STICK * ((held.has(more) ? 1 : 0) - (held.has(less) ? 1 : 0));
  const stick = {
    ahead: axis('stickAhead', 'stickAstern'),
    sideways: axis('stickStarboard', 'stickPort'),
    twist: axis('twistStarboard', 'twistPort'),
  };
  live.move((helm) => ({ ...helm, stick }));
}
const stick: HelmKey = { press: setStick, release: setStick };

const ofLock = (action: HelmAction): HelmKey => ({
  once: true,
  press: ({ worksLock }) => worksLock(action),
});

/** To the next slower or faster pace. */
const pace = (by: 1 | -1): HelmKey => ({
  press({ live }) {
    const { rate } = live.store.getState();
    const next = RATES[RATES.indexOf(rate as (typeof RATES)[number]) + by];
    if (next) live.setRate(next);
  },
});

const once = (press: (live: Live) => void): HelmKey => ({
  once: true,
  press: ({ live }) => press(live),
});

export const HELM_KEYS: Readonly<Record<HelmAction, HelmKey>> = {
  wheelPort: wheel(-1),
  wheelStarboard: wheel(1),
  amidships: { press: ({ live }) => live.turnWheel(0) },
  leversUp: lever(all, 1),
  leversDown: lever(all, -1),
  neutral: { press: ({ live }) => neutral(live) },
  firstUp: lever(first, 1),
  firstDown: lever(first, -1),
  lastUp: lever(last, 1),
  lastDown: lever(last, -1),
  bowPort: thruster('bow', -1),
  bowStarboard: thruster('bow', 1),
  sternPort: thruster('stern', -1),
  sternStarboard: thruster('stern', 1),
  stickAhead: stick,
  stickAstern: stick,
  stickPort: stick,
  stickStarboard: stick,
  twistPort: stick,
  twistStarboard: stick,
  transit: once((live) => live.takeTransit()),
  passOn: once((live) => void live.passOn()),
  sign: ofLock('sign'),
  paddle1: ofLock('paddle1'),
  paddle2: ofLock('paddle2'),
  paddle3: ofLock('paddle3'),
  paddle4: ofLock('paddle4'),
  upperGates: ofLock('upperGates'),
  lowerGates: ofLock('lowerGates'),
  paddlesDown: ofLock('paddlesDown'),
  run: once(runOrPause),
  stepBack: once(stepBack),
  slower: pace(-1),
  faster: pace(1),
  again: once((live) => void live.retry(0)),
};
