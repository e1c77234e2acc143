import { saidOrder } from './definition';

/** The helm's sign to those at the paddles that the boat is held and they may wind. */
export const signal = saidOrder('signal', { parameters: {} });
