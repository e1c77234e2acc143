import type { StepDocument, PlanDocument } from '@/document';
import { worksLock } from './works-lock';

const planned = (orders: StepDocument['orders'], ashore = true) =>
  ({
    steps: [{ orders }],
    crew: [
      { name: 'Joss', at: { aboard: 'helm' } },
      ...(ashore ? [{ name: 'Wren', at: { ashore: 'bollard' } }] : []),
    ],
  }) as unknown as PlanDocument;

describe('who works a lock', () => {
  const gates = {
    do: 'gates',
    after_s: 0,
    lock: 'Cobnut Lock',
    end: 'upper',
    leaf: 'both',
    to: 'open',
  } as const;

  it('goes by the plan: somebody, or the keeper', () => {
    expect(worksLock(planned([{ ...gates, by: 'Joss' }]), 'Cobnut Lock')).toBe('Joss');
    expect(worksLock(planned([gates]), 'Cobnut Lock')).toBeNull();
  });

  it('goes by who is ashore where the plan says nothing of that lock', () => {
    expect(worksLock(planned([{ ...gates, by: 'Joss' }]), 'another')).toBe('Wren');
    expect(worksLock(planned([], false), 'Cobnut Lock')).toBeNull();
  });
});
