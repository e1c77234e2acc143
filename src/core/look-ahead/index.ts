export { lookAhead, type Choice, type Prospect } from './bursts';
export { distanceAt, roomOf } from './field';
export { G, goOn, GUESS_SIZE, GUESS_STEP_S, order } from './guess';
export { putLevers } from './levers';
export { felt, learn, LEARNT } from './learn';
export { nearbyFor, type NearAim, type Pose } from './nearby';
export { outlookFor, type Aim, type Manner, type Outlook } from './outlook';
export { Worker, workBy } from './worker';
