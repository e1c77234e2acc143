import { fleetCraft } from '@/document/testing/fleet';
import { goesOn, steadySpeed, stopFrom } from './';

describe.each(['quince', 'tamarack-nell', 'brisling'])(
  'how far %s goes on as she is stopped',
  (id) => {
    const craft = fleetCraft(id);
    const { length } = craft.spec.hull;

    it('at her steady speed is her stopping distance and what she goes while her gears pause', () => {
      const speed = steadySpeed(craft, 1, 0.1);
      const stop = stopFrom(craft, speed, 0.4)!;
      const pause = Math.max(...craft.spec.drives.map(({ neutralPause }) => neutralPause));
      const { distance: on, turned } = goesOn(craft, 40 * length, 0.1, 0.4)!;
      // The same way round, as the boat's screw walks.
      if (Math.abs(stop.turned) > 0.02) expect(turned * stop.turned).toBeGreaterThan(0);
      expect(on).toBeGreaterThan(0.88 * stop.distance);
      expect(on).toBeLessThan(1.1 * (stop.distance + pause * speed));
    });

    it('is less the shorter she has been under way, and the harder she is stopped', () => {
      const on = [0.3, 1, 3].map((lengths) => goesOn(craft, lengths * length, 0.1, 0.4)!.distance);
      expect(on[0]!).toBeLessThan(on[1]!);
      expect(on[1]!).toBeLessThan(on[2]!);
      expect(goesOn(craft, length, 0.1, 0.8)!.distance).toBeLessThan(on[1]!);
    });
  },
);
