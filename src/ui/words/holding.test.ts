import { settlesText } from './holding';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const told = (moving: number, ahead = -3.2) =>
  settlesText({ ahead, starboard: 2.6, turned: -0.07, moving }, UNITS);

describe('what holds the boat, in words', () => {
  it('tells where the boat settles, or that it still moves, but no speed that rounds to nothing', () => {
    expect(told(0)).toBe('The boat settles 3.2 m back, 2.6 m to starboard, bow 4° to port.');
    expect(told(0.2)).toContain('and still moves at 0.4 kn.');
    expect(told(0.01)).toMatch(/^After two minutes.*and still swings a little\.$/);
    expect(told(0.01)).not.toContain('0.0');
  });

  it('leaves out what is no move worth a word', () => {
    expect(settlesText({ ahead: 0.1, starboard: 0, turned: 0.01, moving: 0 }, UNITS)).toBe(
      'The boat settles where it lies.',
    );
  });
});
