import type { CueView } from '../part-view';

export const done: CueView<'done'> = {
  title: 'there, and still',
  Fields: () => null,
  text: () => 'there, and still',
};
