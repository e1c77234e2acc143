import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { leadOf, stopsOf } from './';

const LENGTH = 10;
const stops = (x: number, y: number, endX: number, endY: number) =>
  stopsOf(leadOf(x, y, endX, endY), x, LENGTH);

describe('how a line leads', () => {
  it('a bow spring leading aft stops her going ahead, a stern spring leading forward going astern', () => {
    expect(stops(4, 1, -1, 1.8)).toEqual(['ahead']);
    expect(stops(-4, 1, 1, 1.8)).toEqual(['astern']);
  });

  it('a breast line stops her drifting off; at an end, that end swinging out', () => {
    expect(stops(0, 1.6, 0.2, 4)).toEqual(['off']);
    expect(stops(4, 1, 4.2, 4)).toEqual(['off', 'bow out']);
    expect(stops(-4, 1, -4.2, 4)).toEqual(['off', 'stern out']);
  });

  it('a bow line leading forward and out stops astern and off and her bow', () => {
    expect(stops(4, 1, 7, 4)).toEqual(['astern', 'off', 'bow out']);
  });

  it('is nothing for a line of no length', () => {
    expect(leadOf(2, 1, 2, 1)).toEqual({ length: 0, ahead: 0, starboard: 0, lever: 0 });
    expect(stops(2, 1, 2, 1)).toEqual([]);
  });

  it('its lever is what its pull turns her by, its shares those of one', () => {
    const any = between(-20, 20);
    fc.assert(
      fc.property(any, any, any, any, (x, y, endX, endY) => {
        const { length, ahead, starboard, lever } = leadOf(x, y, endX, endY);
        fc.pre(length > 1e-3);
        expect(ahead * ahead + starboard * starboard).toBeCloseTo(1, 9);
        // Moment about midships: x·Fy − y·Fx, positive turning the boat's bow to starboard.
        expect(lever).toBeCloseTo((x * (endY - y) - y * (endX - x)) / length, 9);
      }),
    );
  });

  it('mirrored it stops the same, with its lever turned round', () => {
    const any = between(-8, 8);
    fc.assert(
      fc.property(any, any, any, any, (x, y, endX, endY) => {
        expect(stops(x, -y, endX, -endY)).toEqual(stops(x, y, endX, endY));
        const lever = leadOf(x, y, endX, endY).lever;
        expect(leadOf(x, -y, endX, -endY).lever).toBeCloseTo(-lever, 9);
      }),
    );
  });
});
