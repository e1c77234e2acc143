import { jobOf, type Manoeuvre } from '.';
import { demoFile } from './testing/demo';

const jobIn = (id: string, change: (m: Manoeuvre) => Manoeuvre = (m) => m) => {
  const { boat, place, ...rest } = demoFile(id);
  const manoeuvre = { ...rest, boatId: boat.id, placeId: place.id };
  return jobOf(change(manoeuvre), boat.hull.length_m);
};

it.each([
  ['alongside-wind-off', 'arrive'],
  ['stern-to-before-supper', 'arrive'],
  ['off-the-wall', 'leave'],
  ['sprung-off-the-pontoon', 'leave'],
  ['round-in-the-basin', 'turn'],
  ['wicket-waits-on-one-spring', 'lines'],
  ['a-buoy-against-the-stream', 'lines'],
  ['waiting-for-the-gust', 'lines'],
  ['nell-up-cobnut-lock', 'locks'],
] as const)('%s stands under %s', (id, job) => {
  expect(jobIn(id)).toBe(job);
});

it('a big boat stands among big craft whatever it does, but for a lock', () => {
  const big = (id: string) => {
    const { boat, place, ...rest } = demoFile(id);
    return jobOf({ ...rest, boatId: boat.id, placeId: place.id }, 24);
  };
  expect(big('off-the-wall')).toBe('bigCraft');
  expect(big('nell-up-cobnut-lock')).toBe('locks');
});

it('which way north is makes no difference to what is a turn', () => {
  const turned = (m: Manoeuvre): Manoeuvre => ({
    ...m,
    start: { ...m.start, heading_deg: (m.start.heading_deg + 200) % 360 },
    goal:
      m.goal.is === 'lie' ? { ...m.goal, heading_deg: (m.goal.heading_deg + 200) % 360 } : m.goal,
  });
  expect(jobIn('round-in-the-basin', turned)).toBe('turn');
});
