import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { FirstLine } from '@/core/brief';
import type { ThemeName } from '../theme/palette';
import { PREFERENCES_KEY } from '../theme/script';

export type SpeedUnit = 'kn' | 'm/s';
export type LengthUnit = 'm' | 'ft';

/** null: whatever the figures favour. */
export interface Schools {
  readonly firstLine: FirstLine | null;
  readonly burst: 'idle' | 'firm' | null;
}

export interface Preferences {
  readonly theme: ThemeName;
  readonly speed: SpeedUnit;
  readonly length: LengthUnit;
  /** Where schools differ, the one this user follows. */
  readonly schools: Schools;
  setSchool<K extends keyof Schools>(which: K, school: Schools[K]): void;
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
      schools: { firstLine: null, burst: null },
      setSchool: (which, school) =>
        set((state) => ({ schools: { ...state.schools, [which]: school } })),
      setTheme: (theme) => set({ theme }),
      setSpeed: (speed) => set({ speed }),
      setLength: (length) => set({ length }),
    }),
    { name: PREFERENCES_KEY, skipHydration: true },
  ),
);
