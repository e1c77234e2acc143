import { useRef, type PointerEvent } from 'react';

/** Where on a control a pointer is: shares of its width and height, from its left upper corner. */
export type DragAt = (across: number, down: number) => void;

/** What makes a control follow a pointer that was put down on it, as many at once as there are fingers. */
export function useDrag(onDrag: DragAt, onEnd?: () => void) {
  const dragging = useRef(false);
  const drag = (event: PointerEvent<HTMLElement>) => {
    if (!dragging.current) return;
    const box = event.currentTarget.getBoundingClientRect();
    onDrag((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
  };
  const end = () => {
    dragging.current = false;
    onEnd?.();
  };
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      dragging.current = true;
      event.currentTarget.setPointerCapture(event.pointerId);
      drag(event);
    },
    onPointerMove: drag,
    onPointerUp: end,
    onPointerCancel: end,
  };
}
