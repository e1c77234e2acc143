import { useRef, type PointerEvent } from 'react';

/** Makes something follow the pointer it was taken hold of with: pixels from where that was. */
export function useGrab(
  onMove: (right: number, down: number) => void,
  /** Null where it was let go where it was taken, or the drag was broken off. */
  onEnd: (by: readonly [right: number, down: number] | null) => void,
) {
  const from = useRef<readonly [number, number] | null>(null);
  return {
    onPointerDown: (event: PointerEvent) => {
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = [event.clientX, event.clientY];
    },
    onPointerMove: (event: PointerEvent) => {
      if (from.current) onMove(event.clientX - from.current[0], event.clientY - from.current[1]);
    },
    onPointerUp: (event: PointerEvent) => {
      if (!from.current) return;
      const [x, y] = from.current;
      from.current = null;
      const [right, down] = [event.clientX - x, event.clientY - y];
      onEnd(right === 0 && down === 0 ? null : [right, down]);
    },
    onPointerCancel: () => {
      from.current = null;
      onEnd(null);
    },
  };
}
