import { estimateBoat, type OwnerFigures } from '..';
import { MPS_PER_KNOT } from '../../units';
import { heightOfPressure, windShareAt } from '../wind-profile';

const owner: OwnerFigures = {
  class: 'displacement motor boat',
  length: 12,
  beam: 4,
  draught: 1.3,
  displacement: 15000,
  waterlineLength: 11,
  drive: 'shaft',
  engines: 1,
  power: 85000,
  hand: 1,
  blades: '4 fixed',
  keel: 'skeg',
  rudders: 1,
  control: 'wheel',
  freeboard: 1.4,
  superstructure: 1.4,
  mast: 0,
  idleSpeed: 2.8 * MPS_PER_KNOT,
  screwOffset: 0,
  bowThruster: 0,
  sternThruster: 0,
  joystick: false,
};

describe('C4 added mass has the size of known bodies', () => {
  it('in surge, of Lamb’s spheroids', () => {
    const known = [
      [3, 0.12196861],
      [4, 0.08155725],
      [5, 0.059121171],
      [6, 0.045182893],
      [8, 0.029252775],
    ] as const;
    for (const [slender, k1] of known) {
      // Waterline beam is the class's share of the beam.
      const beam = 11 / slender / 0.92;
      const { addedSurge } = estimateBoat({ ...owner, beam }).hull;
      expect(Math.abs(addedSurge / k1 - 1)).toBeLessThan(0.3);
    }
  });

  it('in sway and yaw, of a full tanker', () => {
    const ship = estimateBoat({
      ...owner,
      class: 'ship',
      keel: 'none',
      length: 320,
      waterlineLength: 320,
      beam: 58,
      draught: 20.8,
      displacement: 312600 * 1025,
      power: 2e7,
      idleSpeed: null,
      screwOffset: 0,
    }).hull;
    expect(Math.abs(ship.addedSway / 0.76 - 1)).toBeLessThan(0.3);
    expect(Math.abs(ship.addedYaw / 0.6 - 1)).toBeLessThan(0.3);
  });
});

describe('what stands in the wind', () => {
  const yacht: OwnerFigures = {
    ...owner,
    class: 'sailing yacht',
    keel: 'fin',
    mast: 15,
    superstructure: 0.4,
    freeboard: 1.1,
  };

  it('a mast with its rolled headsail brings the centre up and forward, a motor boat’s house with it', () => {
    const bare = estimateBoat({ ...yacht, mast: 0 }).windage;
    const rigged = estimateBoat(yacht).windage;
    expect(rigged.centreX).toBeGreaterThan(bare.centreX);
    expect(rigged.centreHeight).toBeGreaterThan(bare.centreHeight);
    expect(rigged.centreX / yacht.length).toBeGreaterThan(0.05);
    expect(rigged.centreX / yacht.length).toBeLessThan(0.12);
  });

  it('counts an area by the wind at its height: one height has the pressure of them all', () => {
    const { windage } = estimateBoat({ ...yacht, mast: 0, superstructure: 0 });
    expect(windage.centreHeight).toBeCloseTo(yacht.freeboard / 2, 6);
    expect(heightOfPressure(windShareAt(3) * windShareAt(3))).toBeCloseTo(3, 9);
  });
});

describe('where a screw stands aside', () => {
  it('its race passes by a rudder in the middle, and its thrust turns the boat', () => {
    const at = (screwOffset: number) => estimateBoat({ ...owner, screwOffset });
    expect(at(0).rudders[0]!.inRaceOf).toBe(0);
    expect(at(0.1).rudders[0]!.inRaceOf).toBe(0);
    expect(at(1.2).rudders[0]!.inRaceOf).toBeNull();
    expect(at(-1.2).drives[0]!.y).toBe(-1.2);
  });
});

describe('what resists turning', () => {
  const hullOf = (keel: OwnerFigures['keel']) =>
    estimateBoat({ ...owner, class: 'sailing yacht', keel, draught: 1.7, displacement: 9000 });

  it('reaches further with a keel along the hull than with a fin, and its rudder is no use astern', () => {
    expect(hullOf('long').hull.liftSpread).toBeGreaterThan(1.5 * hullOf('fin').hull.liftSpread);
    expect(hullOf('long').rudders[0]!.asternShare).toBeLessThan(
      0.2 * hullOf('fin').rudders[0]!.asternShare,
    );
  });

  it('a fin’s own moment is not in the hull’s a second time', () => {
    expect(hullOf('fin').hull.munkFactor).toBeLessThan(hullOf('none').hull.munkFactor);
  });
});

describe('G2 static thrust', () => {
  it('stays within what a kilowatt can push, by kind of drive', () => {
    const perKilowatt = (change: Partial<OwnerFigures>) => {
      const [drive] = estimateBoat({ ...owner, ...change }).drives;
      const { bollardThrust: k, diameter: d, bollardRps: n, power } = drive!;
      return (1025 * k * d * d * d * d * n * n) / (power / 1000);
    };
    expect(perKilowatt({})).toBeGreaterThan(100);
    expect(perKilowatt({})).toBeLessThan(165);
    const outboard = perKilowatt({
      class: 'open boat',
      drive: 'outboard',
      rudders: 0,
      keel: 'none',
    });
    expect(outboard).toBeGreaterThan(60);
    expect(outboard).toBeLessThan(110);
    // A small electric drive with the smallest screw: disc theory gives it more for its power.
    const electric = perKilowatt({
      class: 'open boat',
      drive: 'outboard',
      rudders: 0,
      keel: 'none',
      power: 800,
    });
    expect(electric).toBeGreaterThan(180);
    expect(electric).toBeLessThan(450);
  });
});

it('says of every estimated figure how it was come by and how far off it may be', () => {
  const { basis } = estimateBoat(owner);
  expect(basis.length).toBeGreaterThan(25);
  for (const { spread, how } of basis) {
    expect(spread).toBeGreaterThanOrEqual(0);
    expect(spread).toBeLessThanOrEqual(0.6);
    expect(['given', 'formula', 'class default', 'assumption']).toContain(how);
  }
});
