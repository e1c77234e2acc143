import { fleetCraft } from '@/document/testing/fleet';
import { holdsHer, springHolds } from './';

const KN = 0.514444;
const rig = (mass: number, wheel: number, led: number) => ({
  led,
  wheel,
  stiffness: 12 * mass,
  damping: 0.08 * mass,
  seconds: 90,
});

describe('what holds her against a wind off', () => {
  it('a spring motored on does, up to a wind, and not beyond', () => {
    const craft = fleetCraft('quince');
    const { spring } = holdsHer(craft);
    expect(spring! / KN).toBeGreaterThan(8);
    expect(spring! / KN).toBeLessThan(30);
    const holds = (wind: number) =>
      [0.12, 0.17, 0.25].some((led) =>
        [0, 0.3, 0.7, 1].some((wheel) =>
          springHolds(craft, wind, rig(craft.spec.hull.mass, wheel, led)),
        ),
      );
    expect(holds(0.9 * spring!)).toBe(true);
    // Blown off a little further it may lie still again on another lead: half as much again does not.
    expect(holds(1.5 * spring!)).toBe(false);
  });

  it('the engine is what does it: in the same wind a propeller at rest would not', () => {
    const craft = fleetCraft('wicket');
    const idle = { ...craft, spec: { ...craft.spec, drives: [] } };
    expect(holdsHer(idle as typeof craft).spring).toBeNull();
  });

  it('a joystick does where she has one', () => {
    expect(holdsHer(fleetCraft('quince')).joystick).toBeNull();
    const { joystick } = holdsHer(fleetCraft('quartet'));
    expect(joystick! / KN).toBeGreaterThan(3);
  });
});
