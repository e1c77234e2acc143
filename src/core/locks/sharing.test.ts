import { flipLock, lockAt } from '../testing/locks';
import { sharing, type Goer } from './';

// Two boats and a lock of 16 by 6 m, its chamber going south from the place's middle: whoever goes up comes from the south.

const goer = (x: number, y: number, more: Partial<Goer['hull']> = {}, heading = 0): Goer => ({
  pose: { x, y, heading },
  hull: { length: 8, beam: 2.5, draught: 1, mass: 4000, ...more },
});
const up = (she: Goer, other: Goer) => sharing(lockAt(), 'lower', she, other);
const flip = ({ pose, hull }: Goer): Goer => ({
  hull,
  pose: { ...pose, x: -pose.x, heading: -pose.heading },
});

describe('a chamber shared', () => {
  it('who lies in it is first, and the wall she lies to is told, the other way round in the mirror', () => {
    const [she, other] = [goer(0, -30), goer(-1.5, -8)];
    expect(up(she, other)).toMatchObject({ first: 'other', because: 'lies there', wall: 'left' });
    expect(sharing(flipLock(lockAt()), 'lower', flip(she), flip(other))!.wall).toBe('right');
  });

  it('of two outside the nearer, and where neither is the heavier', () => {
    const far = goer(1, -38);
    expect(up(goer(0, -24), far)).toMatchObject({ first: 'she', because: 'nearer', wall: null });
    expect(up(far, goer(0, -24))).toMatchObject({ first: 'other', because: 'nearer' });
    const heavy = goer(4, -25, { mass: 9000 });
    expect(up(goer(0, -24), heavy)).toMatchObject({ first: 'other', because: 'heavier' });
    expect(up(heavy, goer(0, -24))).toMatchObject({ first: 'she', because: 'heavier' });
  });

  it('from above the same, by the upper gates', () => {
    const down = (y: number) => goer(0, y, {}, Math.PI);
    expect(sharing(lockAt(), 'upper', down(8), down(22))!.first).toBe('she');
    expect(sharing(lockAt(), 'upper', down(22), down(8))!.first).toBe('other');
  });

  it('counts what is left over beside and in length', () => {
    const found = up(goer(0, -24), goer(0, -36, { beam: 3, length: 9 }))!;
    expect(found.beside).toBeCloseTo(6 - 2.5 - 3 - 0.45, 9);
    expect(found.lengthways).toBeCloseTo(16 - 8 - 9, 9);
  });

  it('is nobody’s who goes another way, is through, or is far off', () => {
    const she = goer(0, -24);
    expect(up(she, goer(0, -36, {}, Math.PI))).toBeNull();
    expect(up(she, goer(0, 20))).toBeNull();
    expect(up(she, goer(0, -120))).toBeNull();
  });
});
