export { allocate, type Effector } from './allocate';
