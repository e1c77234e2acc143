import { locksOfPlace } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { fitsLock } from './fits-lock';

describe('a boat to try a lock with', () => {
  const { working } = locksOfPlace(demoFile('nell-up-cobnut-lock').place)[0]!;

  it('is one that is shorter, narrower and not as deep', () => {
    const nell = { length: 17.4, beam: 2.1, draught: 0.7 };
    expect(fitsLock(nell, working)).toBe(true);
    expect(fitsLock({ ...nell, length: 24 }, working)).toBe(false);
    expect(fitsLock({ ...nell, beam: 4.8 }, working)).toBe(false);
    expect(fitsLock({ ...nell, draught: 1.4 }, working)).toBe(false);
  });
});
