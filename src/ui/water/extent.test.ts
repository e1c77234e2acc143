import { demoFile } from '@/document/testing/demo';
import { runExtent } from './extent';

it('shows where the boat is to end before any run gets there', () => {
  const file = demoFile('stern-to-before-supper');
  const box = runExtent(file as never, file.boat, file.place, null);
  const { goal, start } = file;
  const mark = file.place.features.find(({ name }) => goal.is === 'lie' && name === goal.mark)!;
  if (!('x_m' in mark)) throw new Error('the goal names a mark');
  for (const { x_m, y_m } of [mark, start]) {
    expect(x_m).toBeGreaterThan(box.minX);
    expect(x_m).toBeLessThan(box.maxX);
    expect(y_m).toBeGreaterThan(box.minY);
    expect(y_m).toBeLessThan(box.maxY);
  }
});
