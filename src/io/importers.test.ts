import { demoFile } from '@/document/testing/demo';
import { formatsOf, PLACE_EXPORTERS, RUN_EXPORTERS } from './exporters';
import {
  acceptOf,
  mostOf,
  PLACE_IMPORTERS,
  readWith,
  RECORDING_IMPORTERS,
  TRACE_IMPORTERS,
} from './importers';

const { place } = demoFile('under-sallow-bridge');
const about = { name: 'a file', unmarked: { polygons: 'quay' }, place } as const;

describe('a file is read by what it looks like', () => {
  it('a place comes back from every format it is written in', () => {
    const own = readWith(PLACE_IMPORTERS, JSON.stringify(place), about);
    expect(own.ok && own.value.place).toEqual(place);
    for (const format of Object.keys(PLACE_EXPORTERS) as (keyof typeof PLACE_EXPORTERS)[]) {
      const text = PLACE_EXPORTERS[format].write(place);
      if (!text.ok) throw new Error(JSON.stringify(text.problems));
      const back = readWith(PLACE_IMPORTERS, text.value, about);
      expect(back.ok && back.value.place.features).toEqual(place.features);
    }
  });

  it.each([
    ['place', PLACE_IMPORTERS],
    ['trace', TRACE_IMPORTERS],
    ['recording', RECORDING_IMPORTERS],
  ] as const)('what is no %s is refused in words by whoever would have read it', (_, importers) => {
    for (const text of ['', 'neither fish nor fowl', '<html></html>', '{"a": 1}']) {
      const read = readWith<unknown, typeof about>(importers, text, about);
      expect(read.ok).toBe(false);
      expect(!read.ok && read.problems[0]!.message.length).toBeGreaterThan(10);
    }
  });

  it('a dialogue offers every ending once', () => {
    const offered = acceptOf(PLACE_IMPORTERS).split(',');
    expect(offered).toContain('.geojson');
    expect(new Set(offered).size).toBe(offered.length);
    expect(mostOf(PLACE_IMPORTERS)).toBeGreaterThan(1e6);
  });

  it('every format has an ending of its own', () => {
    const endings = Object.values({ ...PLACE_EXPORTERS, ...RUN_EXPORTERS }).map((e) => e.ending);
    expect(new Set(endings).size).toBe(endings.length);
    expect(formatsOf(RUN_EXPORTERS)).toEqual(['json', 'csv', 'gpx']);
  });
});
