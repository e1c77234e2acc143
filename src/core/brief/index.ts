export { ferryGlide, firstOrderTurn, rateOnCircle, wheelOver, type FerryGlide } from './kinematics';
