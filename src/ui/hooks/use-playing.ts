'use client';
import { useEffect } from 'react';
import { usePlayhead } from '../state/playhead';

/** Runs the playhead in real time while it is playing; begins again when it stands at the end. */
export function usePlaying(): void {
  const playing = usePlayhead((p) => p.playing);
  useEffect(() => {
    if (!playing) return;
    const start = usePlayhead.getState();
    if (start.time >= start.duration - 0.05) start.seek(0);
    let last = performance.now();
    let frame = requestAnimationFrame(function tick(now) {
      const { time, duration, seek, setPlaying } = usePlayhead.getState();
      const next = time + (now - last) / 1000;
      last = now;
      seek(next);
      if (next >= duration) setPlaying(false);
      else frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing]);
}
