import { useMemo } from 'react';
import { namedMarks, namedPoints } from '@/document';
import { useWorkspace } from '../state/context';

/** The names a cue or an order can be given on this boat and place. */
export function useNames() {
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  return useMemo(
    () => ({
      points: namedPoints(boat).map(({ name }) => name),
      marks: namedMarks(place).map(({ name }) => name),
    }),
    [boat, place],
  );
}
