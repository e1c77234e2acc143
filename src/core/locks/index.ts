export { headAfter, jointArea, paddleFlow, timeToLevel, type Paddles } from './fill';
