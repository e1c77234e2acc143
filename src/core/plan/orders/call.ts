import { saidOrder } from './definition';

/** What is called out. */
export const call = saidOrder('call', {
  parameters: { text: { kind: 'text', most: 120, says: 'say what is called' } },
});
