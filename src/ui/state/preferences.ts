import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { useShallow } from 'zustand/react/shallow';
import type { FirstLine, StepPlace } from '@/core/brief';
import { USUAL_SCHOOL, type School, type SchoolOf } from '@/core/policy';
import type { TechniqueId } from '@/planner';
import type { ThemeName } from '../theme/palette';
import { PREFERENCES_KEY } from '../theme/script';

export type SpeedUnit = 'kn' | 'm/s';
export type LengthUnit = 'm' | 'ft';
export type ForceUnit = 'N' | 'kgf' | 'lbf';

/** What points up the screen on the water: north, the way the boat points, or the way it is to lie in its berth. */
export const UPS = ['north', 'boat', 'berth'] as const;
export type Up = (typeof UPS)[number];

/** What speeds, lengths and forces are shown in. */
export interface Units {
  readonly speed: SpeedUnit;
  readonly length: LengthUnit;
  readonly force: ForceUnit;
}

/** Of lines and of stepping off; null: whatever the figures favour. */
export interface Schools {
  readonly firstLine: FirstLine | null;
  readonly step: StepPlace | null;
}

export interface Preferences {
  readonly theme: ThemeName;
  readonly speed: SpeedUnit;
  readonly length: LengthUnit;
  readonly force: ForceUnit;
  readonly up: Up;
  /** Where schools differ, the one this user follows. */
  readonly schools: Schools;
  /** How this user was taught to handle a boat. */
  readonly handling: School;
  /** Techniques this user had written in, the last one first. */
  readonly techniques: readonly TechniqueId[];
  setSchool<K extends keyof Schools>(which: K, school: Schools[K]): void;
  setHandling<K extends SchoolOf>(of: K, school: School[K]): void;
  usedTechnique(technique: TechniqueId): void;
  setTheme(theme: ThemeName): void;
  setSpeed(speed: SpeedUnit): void;
  setLength(length: LengthUnit): void;
  setForce(force: ForceUnit): void;
  setUp(up: Up): void;
}

/** How this browser's user likes to see things. */
export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      theme: 'day',
      speed: 'kn',
      length: 'm',
      force: 'N',
      up: 'north',
      schools: { firstLine: null, step: null },
      setSchool: (which, school) =>
        set((state) => ({ schools: { ...state.schools, [which]: school } })),
      handling: USUAL_SCHOOL,
      setHandling: (of, school) =>
        set(({ handling }) => ({ handling: { ...handling, [of]: school } })),
      techniques: [],
      usedTechnique: (technique) =>
        set(({ techniques }) => ({
          techniques: [technique, ...techniques.filter((one) => one !== technique)],
        })),
      setTheme: (theme) => set({ theme }),
      setSpeed: (speed) => set({ speed }),
      setLength: (length) => set({ length }),
      setForce: (force) => set({ force }),
      setUp: (up) => set({ up }),
    }),
    { name: PREFERENCES_KEY, skipHydration: true },
  ),
);

/** This user's units; the same object until one of them changes. */
export const useUnits = (): Units =>
  usePreferences(useShallow(({ speed, length, force }) => ({ speed, length, force })));
