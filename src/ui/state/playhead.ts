import { create } from 'zustand';
import type { BeatMark } from '@/core/score';

/** The moment looked at, shared by score, charts and water; and whether it runs. */
export interface PlayheadState {
  readonly time: number;
  readonly duration: number;
  readonly playing: boolean;
  /** When the beats of the take began. */
  readonly marks: readonly BeatMark[];
  seek(time: number): void;
  setTake(duration: number, marks: readonly BeatMark[]): void;
  setPlaying(playing: boolean): void;
}

export const usePlayhead = create<PlayheadState>()((set, get) => ({
  time: 0,
  duration: 0,
  playing: false,
  marks: [],
  seek: (time) => set({ time: Math.max(0, Math.min(get().duration, time)) }),
  setTake: (duration, marks) => set({ duration, marks, time: Math.min(get().time, duration) }),
  setPlaying: (playing) => set({ playing }),
}));
