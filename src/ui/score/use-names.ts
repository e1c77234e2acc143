import { useMemo } from 'react';
import { lineEnds, namedMarks, namedPoints } from '@/document';
import { useWorkspace } from '../state/context';

/** The names a cue or an order can be given on this boat and place. */
export function useNames() {
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const lines = useWorkspace((s) => s.manoeuvre.score.lines);
  const crew = useWorkspace((s) => s.manoeuvre.score.crew);
  return useMemo(
    () => ({
      points: namedPoints(boat).map(({ name }) => name),
      marks: namedMarks(place).map(({ name }) => name),
      ends: lineEnds(place).map(({ name }) => name),
      lines: lines.map(({ name }) => name),
      crew: crew.map(({ name }) => name),
    }),
    [boat, place, lines, crew],
  );
}
