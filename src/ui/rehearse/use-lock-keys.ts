'use client';
import { useRef } from 'react';
import { locksOfPlace, type OrderDocument } from '@/document';
import { paddleOf, type HelmAction } from './keys';
import { useLive } from './use-live';
import { worksLock } from './works-lock';

const NEXT_UP = [0.5, 1, 0] as const;

/** The second seat's keys at the first lock that is worked: its paddles by turns half, full and down, its gates open and shut. */
export function useLockKeys(): (action: HelmAction) => void {
  const live = useLive();
  // What each was last told, so that the same key takes it on.
  const told = useRef(new Map<string, number>());
  const { locks, place, plan } = live.file;
  return (action) => {
    const lock = locks[0]?.lock;
    if (lock === undefined) return;
    const paddles = locksOfPlace(place).find(({ name }) => name === lock)?.working.paddles ?? [];
    const who = worksLock(plan, lock);
    const base = { after_s: 0, lock, ...(who === null ? {} : { by: who }) } as const;
    const turn = (key: string, of: number) => {
      const now = told.current.get(key) ?? 0;
      told.current.set(key, (now + 1) % of);
      return now;
    };
    const say = (order: OrderDocument) => live.say(order);
    const paddle = paddles[paddleOf(action)];
    if (paddle)
      say({ do: 'paddle', ...base, paddle: paddle.name, to: NEXT_UP[turn(paddle.name, 3)]! });
    else if (action === 'sign') say({ do: 'signal', after_s: 0 });
    else if (action === 'paddlesDown')
      for (const { name } of paddles) {
        told.current.set(name, 0);
        say({ do: 'paddle', ...base, paddle: name, to: 0 });
      }
    else if (action === 'upperGates' || action === 'lowerGates') {
      const end = action === 'upperGates' ? 'upper' : 'lower';
      // Those that stand open as it begins are shut first.
      const open = locks[0]!.gates === 'open' && locks[0]!.set === end;
      const to = (turn(end, 2) === 0) === open ? 'shut' : 'open';
      say({ do: 'gates', ...base, end, leaf: 'both', to });
    }
  };
}
