import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { lastResultOf, toRunInput } from '@/document';
import { runPlan } from '@/core/plan';
import { demoFile, DEMO_MANOEUVRES } from '@/document/testing/demo';
import { DAY, NIGHT } from '../theme/palette';
import { placePicture, planPicture } from './plan-picture';

const partsOf = (id: string) => {
  const { boat, place, ...rest } = demoFile(id);
  return { manoeuvre: { ...rest, boatId: boat.id, placeId: place.id }, boat, place };
};

/** Points of the last shape drawn: where the boat ends. */
const last = (svg: string) =>
  [...svg.matchAll(/points="([^"]*)"/g)]
    .at(-1)![1]!
    .split(' ')
    .map((point) => point.split(',').map(Number));

it('draws the boat where it ends inside the frame, in its own colours by day and by night', () => {
  const parts = partsOf('off-the-wall');
  const input = toRunInput(demoFile('off-the-wall'));
  if (!input.ok) throw new Error('off-the-wall');
  const result = lastResultOf(runPlan(input.value), null);
  for (const palette of [DAY, NIGHT]) {
    const svg = planPicture(parts, result, palette);
    expect(XMLValidator.validate(svg)).toBe(true);
    expect(svg).toContain(`fill="${palette.plan}"`);
    for (const [x, y] of last(svg)) {
      expect(x).toBeGreaterThan(0);
      expect(x).toBeLessThan(320);
      expect(y).toBeGreaterThan(0);
      expect(y).toBeLessThan(200);
    }
  }
});

it.each(DEMO_MANOEUVRES)('%s is drawn before it ever was run, without a word of anybody', (id) => {
  const parts = partsOf(id);
  const svg = planPicture(parts, null, DAY);
  expect(XMLValidator.validate(svg)).toBe(true);
  expect(svg).not.toMatch(/NaN|Infinity|undefined|<text/);
  expect(placePicture(parts.place, DAY)).not.toMatch(/NaN|Infinity|undefined|<text/);
});

it('an empty place is water', () => {
  const { place } = partsOf('off-the-wall');
  const svg = placePicture({ ...place, features: [], berths: [], areas: [], transits: [] }, DAY);
  const { svg: drawn } = new XMLParser({ ignoreAttributes: false }).parse(svg) as {
    svg: Record<string, unknown>;
  };
  expect(Object.keys(drawn).filter((key) => !key.startsWith('@'))).toEqual(['rect']);
});
