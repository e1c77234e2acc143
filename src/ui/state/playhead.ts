import { create } from 'zustand';
import type { StepMark } from '@/core/plan';

/** The moment looked at, shared by plan, charts and water; and whether it runs. */
export interface PlayheadState {
  readonly time: number;
  readonly duration: number;
  readonly playing: boolean;
  /** When the steps of the run began. */
  readonly marks: readonly StepMark[];
  seek(time: number): void;
  setRun(duration: number, marks: readonly StepMark[]): void;
  setPlaying(playing: boolean): void;
}

export const usePlayhead = create<PlayheadState>()((set, get) => ({
  time: 0,
  duration: 0,
  playing: false,
  marks: [],
  seek: (time) => set({ time: Math.max(0, Math.min(get().duration, time)) }),
  setRun: (duration, marks) => set({ duration, marks, time: Math.min(get().time, duration) }),
  setPlaying: (playing) => set({ playing }),
}));
