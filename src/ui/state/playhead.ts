import { create } from 'zustand';

/** The moment looked at, shared by score, charts and water; and whether it runs. */
export interface PlayheadState {
  readonly time: number;
  readonly duration: number;
  readonly playing: boolean;
  seek(time: number): void;
  setDuration(duration: number): void;
  setPlaying(playing: boolean): void;
}

export const usePlayhead = create<PlayheadState>()((set, get) => ({
  time: 0,
  duration: 0,
  playing: false,
  seek: (time) => set({ time: Math.max(0, Math.min(get().duration, time)) }),
  setDuration: (duration) => set({ duration, time: Math.min(get().time, duration) }),
  setPlaying: (playing) => set({ playing }),
}));
