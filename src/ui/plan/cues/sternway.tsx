import type { CueView } from '../part-view';

export const sternway: CueView<'sternway'> = {
  title: 'sternway begun',
  text: () => 'sternway begun',
};
