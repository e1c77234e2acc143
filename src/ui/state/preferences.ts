import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { ThemeName } from '../theme/palette';
import { PREFERENCES_KEY } from '../theme/script';

export type SpeedUnit = 'kn' | 'm/s';
export type LengthUnit = 'm' | 'ft';

export interface Preferences {
  readonly theme: ThemeName;
  readonly speed: SpeedUnit;
  readonly length: LengthUnit;
  setTheme(theme: ThemeName): void;
  setSpeed(speed: SpeedUnit): void;
  setLength(length: LengthUnit): void;
}

/** How this browser's user likes to see things. */
export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      theme: 'day',
      speed: 'kn',
      length: 'm',
      setTheme: (theme) => set({ theme }),
      setSpeed: (speed) => set({ speed }),
      setLength: (length) => set({ length }),
    }),
    { name: PREFERENCES_KEY, skipHydration: true },
  ),
);
