export { certificateOf, QUANTILES, type Cause, type Certificate } from './certificate';
export { fanOf, type Fan } from './fan';
export { INFLUENCES, influenceOf, type Influence, type InfluenceName } from './influence';
export { ROSE_DIRECTIONS, roseRange, type RoseRange } from './rose';
export { SequentialTest } from './sequential';
export { shareOf, type Share } from './share';
export { holds, trialOf, type Pose, type Trial } from './trial';
