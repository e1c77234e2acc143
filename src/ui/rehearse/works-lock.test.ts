import type { BeatDocument, ScoreDocument } from '@/document';
import { worksLock } from './works-lock';

const scored = (orders: BeatDocument['orders'], ashore = true) =>
  ({
    beats: [{ orders }],
    crew: [
      { name: 'Joss', at: { aboard: 'helm' } },
      ...(ashore ? [{ name: 'Wren', at: { ashore: 'bollard' } }] : []),
    ],
  }) as unknown as ScoreDocument;

describe('who works a lock', () => {
  const gates = {
    do: 'gates',
    after_s: 0,
    lock: 'Cobnut Lock',
    end: 'upper',
    leaf: 'both',
    to: 'open',
  } as const;

  it('goes by the score: somebody, or the keeper', () => {
    expect(worksLock(scored([{ ...gates, by: 'Joss' }]), 'Cobnut Lock')).toBe('Joss');
    expect(worksLock(scored([gates]), 'Cobnut Lock')).toBeNull();
  });

  it('goes by who is ashore where the score says nothing of that lock', () => {
    expect(worksLock(scored([{ ...gates, by: 'Joss' }]), 'another')).toBe('Wren');
    expect(worksLock(scored([], false), 'Cobnut Lock')).toBeNull();
  });
});
