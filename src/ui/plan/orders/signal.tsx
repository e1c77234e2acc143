import type { OrderView } from '../part-view';

export const signal: OrderView<'signal'> = {
  title: 'Sign to wind',
  add: ({ locks }) => (locks.length > 0 ? 'signal to wind' : null),
  text: () => 'the signal to wind',
  given: () => 'the signal to wind',
};
