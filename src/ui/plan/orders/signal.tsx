import type { OrderView } from '../part-view';

export const signal: OrderView<'signal'> = {
  title: 'Sign to wind',
  add: ({ locks }) => (locks.length > 0 ? 'sign to wind' : null),
  text: () => 'the sign to wind',
  given: () => 'the sign to wind',
};
