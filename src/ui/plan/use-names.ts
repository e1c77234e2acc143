import { useMemo } from 'react';
import { lineEndsAtStart, locksOfPlace, marksAtStart, nameAboard, namedPoints } from '@/document';
import { useWorkspace } from '../state/context';
import type { FirstNames } from './part-values';

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
    const points = namedPoints(boat).map(({ name }) => name);
    return {
      engines: boat.drives.map(({ name }) => name),
      thrusters: boat.thrusters.map(({ name }) => name),
      points,
      /** Points a cue can watch: the boat's, and those of the other boats. */
      watched: [
        ...points,
        ...others.flatMap((one) => namedPoints(one.boat).map(({ name }) => nameAboard(one, name))),
      ],
      marks: marksAtStart(around).map(({ name }) => name),
      ends: lineEndsAtStart(around).map(({ name }) => name),
      lines: lines.map(({ name }) => name),
      ropes: lines.filter(({ anchor }) => !anchor).map(({ name }) => name),
      anchors: lines.filter(({ anchor }) => anchor).map(({ name }) => name),
      /** Lines of another boat: its own crew sees to them. */
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

export type Names = ReturnType<typeof useNames>;

/** What stands in fields just added: the first name of every kind. */
export function firstOf(names: Names): FirstNames {
  const [lock] = names.locks;
  const rope = names.ropes[0] ?? '';
  return {
    thruster: names.thrusters[0] ?? '',
    line: rope || (names.lines[0] ?? ''),
    rope,
    anchor: names.anchors[0] ?? '',
    person: names.crew[0] ?? '',
    boat: names.others[0] ?? '',
    lock: lock?.name ?? '',
    paddle: lock?.paddles[0] ?? '',
    mark: names.marks[0] ?? '',
    point: names.points[0] ?? '',
    anyPoint: names.points[0] ?? '',
    lineEnd: names.ends[0] ?? '',
  };
}
