import { sloop } from '../testing/boats';
import { rig } from '../testing/rig';
import { Worker, workBy } from './worker';

describe('a boat’s hand told to be worked by somebody', () => {
  const somebody = () => Object.create(Worker.prototype) as Worker;

  it('goes on with what they know where they work it already, and begins anew after whoever did something else', () => {
    const { state } = rig(sloop());
    const { hand } = state;
    workBy(state, somebody());
    expect(hand).toMatchObject({ active: true, task: 'work', done: false, looksIn: 0 });
    hand.row.fill(7);
    hand.looksIn = 1.2;
    workBy(state, somebody());
    expect(hand.row[0]).toBe(7);
    expect(hand.looksIn).toBe(1.2);
    hand.worker = { look: () => undefined };
    workBy(state, somebody());
    expect(Array.from(hand.row).every((figure) => figure === 0)).toBe(true);
    expect(hand.looksIn).toBe(0);
  });
});
