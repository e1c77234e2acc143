import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Random } from '@/core/math';
import type { Owner } from '..';

/**
 * Boats for tests that must hold for every boat: drawn through the owner's form across each class's range of length, displacement,
 * power, keel, drive and superstructure. The list is kept (`generated-boats.jsonl`, one boat a line); `drawnOwners` makes it again.
 */

export interface Drawn {
  readonly id: string;
  readonly owner: Owner;
}

const KN = 0.514444;
const SEED = 20261201;

/** What boats of a class are drawn from; shares are of the length unless said. */
interface Range {
  readonly class: Owner['class'];
  readonly count: number;
  readonly length: readonly [number, number];
  readonly beam: readonly [atLeast: number, atMost: number];
  readonly draught: readonly [number, number];
  /** kg over length³ (of sailing yachts and motor boats), or block coefficient of length, beam and draught. */
  readonly mass: {
    readonly cube?: readonly [number, number];
    readonly block?: readonly [number, number];
  };
  /** W per kg, of all engines together. */
  readonly power: readonly [number, number];
  readonly freeboard: readonly [number, number];
  readonly superstructure: readonly [number, number];
  /** Mast over length; nought for none. */
  readonly mast: readonly [number, number];
  readonly idle: readonly [number, number] | null;
  /** What goes with what, one kind after the other. */
  readonly kinds: readonly Partial<Owner>[];
  readonly thruster: number;
}

const RANGES: readonly Range[] = [
  {
    class: 'sailing yacht',
    count: 16,
    length: [7, 15],
    beam: [0.28, 0.34],
    draught: [0.14, 0.18],
    mass: { cube: [4.2, 6.2] },
    power: [2.6, 4.2],
    freeboard: [0.095, 0.115],
    superstructure: [0.025, 0.045],
    mast: [1.2, 1.45],
    idle: [1.8 * KN, 2.8 * KN],
    kinds: [
      { drive: 'shaft', keel: 'fin', rudders: 1, blades: '3 fixed' },
      { drive: 'sail drive', keel: 'fin', rudders: 1, blades: '2 folding' },
      { drive: 'shaft', keel: 'long', rudders: 1, blades: '3 fixed' },
      { drive: 'shaft', keel: 'fin', rudders: 1, blades: '2 folding' },
      { drive: 'sail drive', keel: 'fin', rudders: 2, blades: '3 folding' },
      { drive: 'shaft', keel: 'skeg', rudders: 1, blades: '3 fixed' },
      { drive: 'shaft', keel: 'twin', rudders: 1, blades: '2 fixed' },
      { drive: 'sail drive', keel: 'lifting', rudders: 1, blades: 'feathering' },
    ],
    thruster: 0.42,
  },
  {
    class: 'sailing catamaran',
    count: 4,
    length: [9.5, 14],
    beam: [0.52, 0.58],
    draught: [0.09, 0.11],
    mass: { cube: [4.5, 6.5] },
    power: [3, 4.5],
    freeboard: [0.12, 0.14],
    superstructure: [0.06, 0.08],
    mast: [1.4, 1.6],
    idle: [2.2 * KN, 3.2 * KN],
    kinds: [
      { drive: 'sail drive', engines: 2, keel: 'twin', rudders: 2, blades: '3 folding' },
      { drive: 'sail drive', engines: 2, keel: 'twin', rudders: 2, blades: '2 folding' },
    ],
    thruster: 0,
  },
  {
    class: 'motor yacht',
    count: 8,
    length: [8.5, 17],
    beam: [0.29, 0.34],
    draught: [0.08, 0.1],
    mass: { cube: [4.8, 6.4] },
    power: [24, 40],
    freeboard: [0.1, 0.125],
    superstructure: [0.1, 0.14],
    mast: [0, 0],
    idle: null,
    kinds: [
      { drive: 'shaft', engines: 2, keel: 'none', rudders: 2, blades: '4 fixed' },
      { drive: 'outdrive', engines: 2, keel: 'none', rudders: 0, blades: '3 fixed' },
      { drive: 'shaft', engines: 2, keel: 'none', rudders: 2, blades: '3 fixed' },
      { drive: 'pod', engines: 2, keel: 'none', rudders: 0, blades: '3 fixed', joystick: true },
    ],
    thruster: 0.42,
  },
  {
    class: 'displacement motor boat',
    count: 6,
    length: [7.5, 15],
    beam: [0.3, 0.36],
    draught: [0.1, 0.13],
    mass: { cube: [6.5, 9] },
    power: [5, 9],
    freeboard: [0.095, 0.12],
    superstructure: [0.1, 0.15],
    mast: [0, 0.4],
    idle: [2 * KN, 3.4 * KN],
    kinds: [
      { drive: 'shaft', keel: 'skeg', rudders: 1, blades: '4 fixed' },
      { drive: 'shaft', keel: 'none', rudders: 1, blades: '3 fixed' },
    ],
    thruster: 0.42,
  },
  {
    class: 'open boat',
    count: 5,
    length: [4.2, 8.5],
    beam: [0.34, 0.42],
    draught: [0.08, 0.1],
    mass: { cube: [4.5, 7.5] },
    power: [30, 60],
    freeboard: [0.1, 0.13],
    superstructure: [0, 0.09],
    mast: [0, 0],
    idle: null,
    kinds: [
      { drive: 'outboard', keel: 'none', rudders: 0, blades: '3 fixed' },
      { drive: 'outboard', keel: 'none', rudders: 0, blades: '3 fixed', control: 'tiller' },
    ],
    thruster: 0,
  },
  {
    class: 'canal boat',
    count: 6,
    length: [9, 21],
    beam: [2.05, 2.2],
    draught: [0.5, 0.75],
    mass: { block: [0.82, 0.9] },
    power: [1.4, 2.2],
    freeboard: [0.7, 1],
    superstructure: [0.7, 1],
    mast: [0, 0],
    idle: null,
    kinds: [{ drive: 'shaft', keel: 'none', rudders: 1, blades: '3 fixed', control: 'tiller' }],
    thruster: 0.42,
  },
  {
    class: 'barge',
    count: 4,
    length: [18, 60],
    beam: [0.13, 0.2],
    draught: [0.02, 0.03],
    mass: { block: [0.86, 0.92] },
    power: [0.9, 1.8],
    freeboard: [0.03, 0.045],
    superstructure: [0.02, 0.05],
    mast: [0, 0],
    idle: null,
    kinds: [{ drive: 'shaft', keel: 'none', rudders: 1, blades: '4 fixed' }],
    thruster: 0.15,
  },
  {
    class: 'tug',
    count: 2,
    length: [12, 24],
    beam: [0.27, 0.33],
    draught: [0.12, 0.15],
    mass: { cube: [9, 13] },
    power: [6, 10],
    freeboard: [0.06, 0.09],
    superstructure: [0.15, 0.22],
    mast: [0, 0],
    idle: null,
    kinds: [{ drive: 'shaft', keel: 'skeg', rudders: 1, blades: '4 fixed' }],
    thruster: 0,
  },
  {
    class: 'ship',
    count: 3,
    length: [90, 190],
    beam: [0.14, 0.17],
    draught: [0.048, 0.06],
    mass: { block: [0.6, 0.7] },
    power: [0.35, 0.6],
    freeboard: [0.03, 0.05],
    superstructure: [0.05, 0.09],
    mast: [0, 0],
    idle: null,
    kinds: [{ drive: 'shaft', keel: 'none', rudders: 1, blades: '4 fixed' }],
    thruster: 1,
  },
];

/** Lengths, beams of narrow canal boats and their heights are in metres; all else of a boat goes with its length. */
const IN_METRES: ReadonlySet<string> = new Set(['canal boat']);

function drawn(range: Range, i: number, random: Random): Drawn {
  const between = ([least, most]: readonly [number, number]) =>
    least + (most - least) * random.uniform();
  const tidy = (value: number, digits = 3) => Number(value.toPrecision(digits));
  // Lengths evenly across the range, so that both ends of it are there.
  const share = range.count > 1 ? i / (range.count - 1) : 0.5;
  const length = tidy(range.length[0] + share * (range.length[1] - range.length[0]));
  const scale = IN_METRES.has(range.class) ? 1 : length;
  const beam = tidy(scale * between(range.beam));
  const draught = tidy(scale * between(range.draught));
  const { cube, block } = range.mass;
  const displacement = cube
    ? length * length * length * between(cube)
    : 1025 * length * beam * draught * between(block!);
  const kind = range.kinds[i % range.kinds.length]!;
  const engines = kind.engines ?? 1;
  const power = (displacement * between(range.power)) / engines / 1000;
  const freeboard = tidy(scale * between(range.freeboard));
  const superstructure = tidy(scale * between(range.superstructure));
  const mast = tidy(length * between(range.mast));
  const idle = range.idle && between(range.idle) * Math.sqrt(length / 11);
  // Heavier boats of a length are given more.
  const heavy = Math.sqrt(displacement / (5.2 * length * length * length));
  const electric = heavy * length * range.thruster * between([0.7, 1.1]);
  const thruster = random.uniform() < 0.6 && range.thruster > 0 ? electric : 0;
  const owner: Owner = {
    class: range.class,
    length_m: length,
    beam_m: beam,
    draught_m: draught,
    displacement_kg: tidy(displacement),
    waterlineLength_m: null,
    drive: 'shaft',
    engines,
    power_kW: tidy(power),
    // Two screws turn outwards: the starboard one right-handed.
    hand: random.uniform() < 0.75 || engines > 1 ? 'right' : 'left',
    blades: '3 fixed',
    keel: 'none',
    rudders: 1,
    control: range.class === 'sailing yacht' && length < 9.5 ? 'tiller' : 'wheel',
    freeboard_m: freeboard,
    superstructure_m: superstructure,
    mast_m: mast,
    idleSpeed_mps: idle === null ? null : tidy(idle),
    bowThruster_kW: range.class === 'ship' ? tidy(3.5 * length) : tidy(thruster, 2),
    sternThruster_kW: 0,
    screwOffset_m: 0,
    joystick: false,
    ...kind,
  };
  return { id: `${range.class.replaceAll(' ', '-')}-${i + 1}`, owner };
}

/** The list drawn anew: the same boats each time. */
export function drawnOwners(): Drawn[] {
  const random = new Random(SEED);
  return RANGES.flatMap((range) =>
    Array.from({ length: range.count }, (_, i) => drawn(range, i, random)),
  );
}

export const GENERATED_PATH = join('src', 'document', 'testing', 'generated-boats.jsonl');

/** The list as it is kept. */
export function generatedOwners(): Drawn[] {
  return readFileSync(join(process.cwd(), GENERATED_PATH), 'utf8')
    .split('\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line) as Drawn);
}
