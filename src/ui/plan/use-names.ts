import { useMemo } from 'react';
import { lineEndsAtStart, locksOfPlace, marksAtStart, nameAboard, namedPoints } from '@/document';
import { useWorkspace } from '../state/context';

/** The names a cue or an order can be given on this boat and place, with the other boats that lie there. */
export function useNames() {
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const others = useWorkspace((s) => s.manoeuvre.others);
  const lines = useWorkspace((s) => s.manoeuvre.plan.lines);
  const crew = useWorkspace((s) => s.manoeuvre.plan.crew);
  const locks = useWorkspace((s) => s.manoeuvre.locks);
  return useMemo(() => {
    const around = { place, others };
    return {
      points: namedPoints(boat).map(({ name }) => name),
      /** Points a cue can watch: hers, and those of the other boats. */
      watched: [
        ...namedPoints(boat).map(({ name }) => name),
        ...others.flatMap((one) => namedPoints(one.boat).map(({ name }) => nameAboard(one, name))),
      ],
      marks: marksAtStart(around).map(({ name }) => name),
      ends: lineEndsAtStart(around).map(({ name }) => name),
      lines: lines.map(({ name }) => name),
      ropes: lines.filter(({ anchor }) => !anchor).map(({ name }) => name),
      anchors: lines.filter(({ anchor }) => anchor).map(({ name }) => name),
      /** Lines of another boat: her own hands see to them. */
      theirs: lines.filter(({ of }) => of !== undefined).map(({ name }) => name),
      crew: crew.map(({ name }) => name),
      others: others.map(({ name }) => name),
      /** Locks that are worked, with their paddles. */
      locks: locks.map(({ lock }) => ({
        name: lock,
        paddles: (locksOfPlace(place).find(({ name }) => name === lock)?.working.paddles ?? []).map(
          ({ name }) => name,
        ),
      })),
    };
  }, [boat, place, others, lines, crew, locks]);
}
