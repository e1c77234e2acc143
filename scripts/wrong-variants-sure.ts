import { core, type WrongVariant } from './wrong-variant';

/** Deliberate mistakes in what wash does, in where boats begin, and in how sure figures are. */
export const SURE_VARIANTS: readonly WrongVariant[] = [
  core(
    'forces/own-wash.ts',
    'own wash pulls the quarter in',
    'const side = -times * OFF_SIDE',
    'const side = times * OFF_SIDE',
  ),
  core(
    'forces/own-wash.ts',
    'own wash goes up the wrong side',
    'const swirl = SWIRL *',
    'const swirl = -SWIRL *',
  ),
  core(
    'forces/own-wash.ts',
    'own wash is felt going ahead',
    'if (driven < 0) {',
    'if (driven !== 0) {',
  ),
  core('math/ray.ts', 'a neighbour is met behind the jet', 't >= 0 && s >= 0', 's >= 0'),
  core(
    'forces/neighbour-wash.ts',
    'a jet gives more than it has',
    'Math.min(1, draught / (2 * breadth))',
    'draught / (2 * breadth)',
  ),
  core(
    'forces/passing-wash.ts',
    'passing wash comes from where it goes',
    'const ahead = -(turn',
    'const ahead = (turn',
  ),
  core(
    'forces/passing-wash.ts',
    'passing wash swings as high as it is from trough to crest',
    '0.5 * height * k',
    'height * k',
  ),
  core(
    'simulation/wash-now.ts',
    'wash is thrown the way it pushes',
    'driven > 0 ? -1 : 1',
    'driven > 0 ? 1 : -1',
  ),
  core(
    'simulation/boat-shelter.ts',
    'a boat keeps the wind off from where it began',
    'for (let k = 0; k < others.length; k++) {',
    'for (let k = 0; k < others.length && scratch.windbreaks[first]!.outline[0] === 0; k++) {',
  ),
  core(
    'holding/touch-rate.ts',
    'a touch between corners has no rate',
    'e === HULL_SIDE ? 1 / touch.lightest : touch.lightness[e]!',
    'touch.lightness[e] ?? 0',
  ),
  core(
    'search/clear-start.ts',
    'a start is pushed further in',
    'x: pose.x + by * now.east',
    'x: pose.x - by * now.east',
  ),
  core(
    'search/clear-start.ts',
    'fenders count as the hull at the start',
    'hull ? 0 : FENDER_AT_START',
    'hull ? 0 : 0 * FENDER_AT_START',
  ),
  core(
    'uncertainty/range.ts',
    'ranges are as wide as the share between',
    'share * (sorted.length + 1) - 1',
    'share * (sorted.length - 1)',
  ),
  core(
    'uncertainty/range.ts',
    'what is never come to is left out of a range',
    '.map((value) => value ?? Infinity)',
    '.filter((value) => value !== null)',
  ),
  core(
    'uncertainty/spread.ts',
    'what is known better is drawn as before',
    'return [[source, normal(middle, sd',
    'return [[source, normal(middle, of.is === "normal" ? of.sd : sd',
  ),
  core(
    'reliability/sequential.ts',
    'a sequential test is surer than it may be',
    'log((1 - risk) / risk)',
    'log(1 / (1 - risk))',
  ),
  core(
    'reliability/trial.ts',
    'tries do not know the boat’s own spread',
    'spreadFor(spread, input.known)',
    'spread',
  ),
  core(
    'brief/capabilities.ts',
    'a boat stops from the middle of its turn',
    'const state = beginning(world, { x, y, heading, speed });',
    'const state = beginning(world, { x, y, heading, speed }); state.motion.set(motion);',
  ),
  core(
    'forces/cross-flow.ts',
    'the leading end is counted from the point described',
    'work[WORK.SWAY]! + strips.middle * work[WORK.YAW]!',
    'work[WORK.SWAY]!',
  ),
  core(
    'search/rollout.ts',
    'a boat let go on its way hangs on its lines as they were at the start',
    'return new Surroundings({ ...input, lines: NO_LINES });',
    'return new Surroundings({ ...input, ...(_rigging ? { rigging: _rigging } : {}) });',
  ),
  core(
    'search/rollout.ts',
    'a boat let go in a lock lies on the water of the start',
    'copyAround(state, from);',
    '',
  ),
];
