import type { SaveState } from '../hooks/use-autosave';

/** Made once: making one anew costs more than the rest of the bar. */
const CLOCK = new Intl.DateTimeFormat([], { hour: '2-digit', minute: '2-digit' });

/** Whether what is on the screen is kept. */
export function saveWords(state: SaveState): string {
  switch (state.is) {
    case 'saved':
      return `saved ${CLOCK.format(state.at)}`;
    case 'saving':
      return 'saving …';
    case 'waiting':
      return `not saved: ${state.why}; trying again`;
    case 'conflict':
      return 'not saved: changed elsewhere';
  }
}
