/** @jest-environment jsdom */
import { render } from '@testing-library/react';
import { WindRose } from './WindRose';

const rings = (speed: 'kn' | 'm/s', most: number | null) => {
  const { container } = render(
    <WindRose
      ranges={most === null ? [] : [{ from: 1, least: 0, most }]}
      told={{ from: 0, speed: 0 }}
      units={{ speed, length: 'm', force: 'N' }}
    />,
  );
  return [...container.querySelectorAll('text.figures')].map(({ textContent }) =>
    Number(textContent),
  );
};

describe('the rings of a wind rose', () => {
  it('stand at round figures of the unit shown, each once, before anything is known as well', () => {
    for (const unit of ['kn', 'm/s'] as const)
      for (const most of [null, 2.1, 7.3, 20.5]) {
        const figures = rings(unit, most);
        expect(figures.length).toBeGreaterThan(0);
        expect(new Set(figures).size).toBe(figures.length);
        expect(figures.every((one) => one > 0 && Number.isInteger(one))).toBe(true);
      }
    // 14 kn: rings to 15.
    expect(Math.max(...rings('kn', 7.2))).toBe(15);
  });
});
