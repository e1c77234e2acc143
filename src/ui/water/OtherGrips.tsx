'use client';
import { useWorkspace } from '../state/context';
import type { Camera } from './camera';
import { PoseGrip } from './StartGrip';

/** Rings that move and turn the other boats where they lie as it begins. */
export function OtherGrips({ camera }: { camera: Camera }) {
  const others = useWorkspace((s) => s.manoeuvre.others);
  return others.map(({ id, name, boat, start }) => (
    <PoseGrip
      key={id}
      camera={camera}
      grip={`other ${id}`}
      what={name}
      turning={`Heading of ${name}`}
      pose={start}
      length={boat.hull.length_m}
      write={(m, part) => {
        m.others = m.others.map((other) =>
          other.id === id ? { ...other, start: { ...other.start, ...part } } : other,
        );
      }}
    />
  ));
}
