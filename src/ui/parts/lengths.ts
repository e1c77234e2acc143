import { usePreferences } from '../state/preferences';
import { lengthFrom, lengthIn } from '../words/units';

/** Lengths in the user's unit, there and back. */
export function useLengths() {
  const unit = usePreferences((p) => p.length);
  return {
    unit,
    shown: (metres: number) => lengthIn(metres, unit),
    metres: (value: number) => lengthFrom(value, unit),
  };
}
