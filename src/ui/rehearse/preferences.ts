import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { DEFAULT_KEYS, type HelmAction, type KeyMap } from './keys';

/** Aids that can be switched off as skill grows. With none of them there is only what can be seen from the boat. */
export const AIDS = [
  'figures',
  'drift',
  'ahead',
  'nearest',
  'transit',
  'ghost',
  'plan',
  'wind',
] as const;
export type Aid = (typeof AIDS)[number];

export const AID_WORDS: Readonly<Record<Aid, string>> = {
  figures: 'speeds, heading and rate of turn in figures',
  drift: 'arrow of the way the boat makes over ground',
  ahead: 'where the boat is in 10, 20 and 30 s',
  nearest: 'distances to what is nearest',
  transit: 'how a transit stands, in figures',
  ghost: 'the plan played, as a ghost',
  plan: 'the next step and its cue',
  wind: 'wind in figures',
};

export interface HelmPreferences {
  readonly keys: KeyMap;
  readonly aids: Readonly<Record<Aid, boolean>>;
  readonly voice: boolean;
  /** Do several engines' levers go together by hand? */
  readonly linked: boolean;
  /** Is the throttle worked apart from the gear? */
  readonly apart: boolean;
  /** Does the crew do by itself what the plan has it do at each step? */
  readonly crewByPlan: boolean;
  setKey(action: HelmAction, key: string): void;
  resetKeys(): void;
  setAid(aid: Aid, on: boolean): void;
  setAllAids(on: boolean): void;
  setVoice(voice: boolean): void;
  setLinked(linked: boolean): void;
  setApart(apart: boolean): void;
  setCrewByPlan(on: boolean): void;
}

const all = (on: boolean) =>
  Object.fromEntries(AIDS.map((aid) => [aid, on])) as Record<Aid, boolean>;

export const useHelmPreferences = create<HelmPreferences>()(
  persist(
    (set) => ({
      keys: DEFAULT_KEYS,
      aids: all(true),
      voice: false,
      linked: true,
      apart: false,
      crewByPlan: false,
      setKey: (action, key) =>
        set(({ keys }) => {
          // A key does one thing: whatever had it takes the one that is given up.
          const had = (Object.keys(keys) as HelmAction[]).find((other) => keys[other] === key);
          const next = { ...keys, [action]: key };
          return { keys: had && had !== action ? { ...next, [had]: keys[action] } : next };
        }),
      resetKeys: () => set({ keys: DEFAULT_KEYS }),
      setAid: (aid, on) => set(({ aids }) => ({ aids: { ...aids, [aid]: on } })),
      setAllAids: (on) => set({ aids: all(on) }),
      setVoice: (voice) => set({ voice }),
      setLinked: (linked) => set({ linked }),
      setApart: (apart) => set({ apart }),
      setCrewByPlan: (crewByPlan) => set({ crewByPlan }),
    }),
    {
      name: 'yawtrope:helm',
      // What has come since this browser kept its own is on, with its usual key.
      merge: (kept, now) => {
        const { crewByScore, ...had } = (kept ?? {}) as Partial<HelmPreferences> & {
          /** What it was called before 0.3.0. */
          readonly crewByScore?: boolean;
        };
        return {
          ...now,
          ...(crewByScore === undefined ? {} : { crewByPlan: crewByScore }),
          ...had,
          keys: { ...now.keys, ...had.keys },
          aids: { ...now.aids, ...had.aids },
        };
      },
    },
  ),
);
