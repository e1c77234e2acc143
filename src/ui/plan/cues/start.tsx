import type { CueView } from '../part-view';

export const start: CueView<'start'> = { title: 'at the start', text: () => 'at the start' };
