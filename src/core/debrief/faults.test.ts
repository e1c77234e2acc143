import { jet, sloop } from '../testing/boats';
import { engine, recordingOf, wheel } from '../testing/driven';
import { stepOf, box, engineIn, inputOf, wheelTo } from '../testing/manoeuvre';
import { aboard, riggedWith } from '../testing/rigging';
import { CALM } from '../testing/rig';
import type { Order, RunInput } from '../plan';
import { faultsOf, reviewOf, type FaultId } from './';

type Done = readonly (readonly [number, ...Order[]])[];

const NEVER = { is: 'after', time: 600 } as const;
const open = (rest: Partial<RunInput> = {}) => inputOf([stepOf({ is: 'start' }, [])], NEVER, rest);

function rules(input: RunInput, seconds: number, done: Done): FaultId[] {
  return faultsOf(reviewOf(input, recordingOf(seconds, done))).map(({ rule }) => rule);
}

/** The first has the fault, the twin has not. */
function apart(
  rule: FaultId,
  input: RunInput,
  seconds: number,
  has: Done,
  twin: Done,
  other: RunInput = input,
): void {
  expect(rules(input, seconds, has)).toContain(rule);
  expect(rules(other, seconds, twin)).not.toContain(rule);
}

const wallAhead = (gap: number, speed = 0) =>
  open({
    obstacles: [box('quay', -40, 5 + gap, 40, 10 + gap)],
    start: { x: 0, y: 0, heading: 0, speed },
  });

/** The sloop with the boat's shaft made a leg that turns with the wheel. */
function outdrive() {
  const boat = sloop();
  return {
    ...boat,
    rudders: [],
    drives: boat.drives.map((d) => ({ ...d, steering: 'wheel' as const })),
  };
}

describe('faults', () => {
  it('gear before steering: the wheel follows the burst, or is there before it', () => {
    apart(
      'gear before steering',
      open(),
      12,
      [
        [2, engine(1, 0.3)],
        [3.5, wheel(30)],
        [6, engine(0)],
      ],
      [
        [1, wheel(30)],
        [2, engine(1, 0.3)],
        [6, engine(0)],
      ],
    );
  });

  it('no pause in neutral: ahead and straight astern, or a breath between', () => {
    apart(
      'no pause in neutral',
      open(),
      15,
      [
        [1, engine(1, 0.2)],
        [6, engine(-1, 0.2)],
        [10, engine(0)],
      ],
      [
        [1, engine(1, 0.2)],
        [6, engine(0)],
        [8, engine(-1, 0.2)],
        [10, engine(0)],
      ],
    );
  });

  it('left in gear: way gathered towards a quay with nothing done, or a burst and neutral', () => {
    apart(
      'left in gear',
      wallAhead(30),
      16,
      [
        [1, engine(1, 0.1)],
        [15, engine(0)],
      ],
      [
        [1, engine(1, 0.1)],
        [5, engine(0)],
      ],
    );
  });

  it('neutral late, and too fast for the room: driving on where she cannot be stopped any more', () => {
    const late: Done = [
      [0, engine(1, 0.6)],
      [15.5, engine(0)],
    ];
    const soon: Done = [
      [0, engine(1, 0.6)],
      [5, engine(0)],
    ];
    apart('neutral late', wallAhead(22), 16, late, soon);
    apart('too fast for the room', wallAhead(22), 16, late, soon);
  });

  it('astern too early: stopped short of the mark and driven on again, or brought up at it', () => {
    const goal: RunInput['goal'] = {
      is: 'lie',
      point: { name: 'bow', x: 5, y: 0 },
      mark: { name: 'mark', x: 0, y: 30 },
      within: 1.5,
      heading: 0,
      headingWithin: 0.4,
      speedBelow: 0.3,
    };
    const input = open({ goal, start: { x: 0, y: 0, heading: 0, speed: 1 } });
    apart(
      'astern too early',
      input,
      60,
      [
        [3, engine(-1, 0.4)],
        [14, engine(0)],
        [17, engine(1, 0.2)],
        [24, engine(0)],
      ],
      [
        [16, engine(-1, 0.4)],
        [26, engine(0)],
      ],
    );
  });

  it('astern too hard: back she goes, or just stopped', () => {
    const input = open({ start: { x: 0, y: 0, heading: 0, speed: 0.9 } });
    apart(
      'astern too hard',
      input,
      30,
      [
        [1, engine(-1, 0.9)],
        [14, engine(0)],
      ],
      [
        [1, engine(-1, 0.5)],
        [5, engine(0)],
      ],
    );
  });

  it('steering not reversed: a leg kept over when the gear goes the other way, or put across with it', () => {
    const input = open({ boat: outdrive() });
    const first = [
      [0, wheel(25)],
      [0.5, engine(1, 0.2)],
      [5, engine(0)],
    ] as const;
    apart(
      'steering not reversed',
      input,
      14,
      [...first, [7, engine(-1, 0.2)], [12, engine(0)]],
      [...first, [5.5, wheel(-25)], [7, engine(-1, 0.2)], [12, engine(0)]],
    );
    // A fixed shaft fills back with the wheel left over.
    apart(
      'steering not reversed',
      input,
      14,
      [...first, [7, engine(-1, 0.2)], [12, engine(0)]],
      [...first, [7, engine(-1, 0.2)], [12, engine(0)]],
      open(),
    );
  });

  it('lost the bow: left to the wind, or held up to it with a burst', () => {
    const input = open({ weather: { ...CALM, windFrom: -Math.PI / 4, windSpeed: 9 } });
    apart('lost the bow', input, 30, [], [[0, wheel(-30), engine(1, 0.6)]]);
  });

  it('turned early: before the place the plan turns at, and nearer for it', () => {
    // Past a pier's end, then round it to starboard.
    const start = { x: 0, y: 0, heading: 0, speed: 1.2 };
    const plan = [
      stepOf({ is: 'start' }, [engineIn(1, 0.2)]),
      stepOf({ is: 'after', time: 14 }, [wheelTo(30)]),
    ];
    const input = inputOf(
      plan,
      { is: 'after', time: 16 },
      {
        obstacles: [box('pier', 3, -10, 60, 14)],
        start,
      },
    );
    const turn = (at: number): Done => [
      [0, engine(1, 0.2)],
      [at, wheel(30)],
    ];
    apart('turned early', input, 20, turn(5), turn(14));
  });

  it('watched one end: the stern swung on to the quay going ahead, or kept off it', () => {
    const input = open({
      obstacles: [box('quay', 2.6, -30, 8, 40)],
      boat: { ...sloop(), fenders: [] },
      start: { x: 0, y: 0, heading: 0, speed: 0.6 },
    });
    apart(
      'watched one end',
      input,
      14,
      [
        [0, wheel(-35), engine(1, 0.7)],
        [10, engine(0)],
      ],
      [
        [0, engine(1, 0.2)],
        [6, engine(0)],
      ],
    );
  });

  it('did not look astern: something close behind and touched, or room there', () => {
    const behind = (gap: number) =>
      open({
        obstacles: [box('quay', -20, -10 - gap, 20, -5 - gap)],
        boat: { ...sloop(), fenders: [] },
      });
    const back: Done = [
      [1, engine(-1, 0.6)],
      [9, engine(0)],
    ];
    apart('did not look astern', behind(3), 16, back, back, behind(40));
  });

  it('past the way out: the last moment goes by and she strikes, or breaks off in time', () => {
    const input = wallAhead(26, 1.6);
    apart(
      'past the way out',
      input,
      20,
      [[0, engine(1, 0.5)]],
      [
        [0, engine(-1, 0.7)],
        [9, engine(0)],
      ],
    );
  });

  it('line not watched: bar-tight with the engine left on, or eased', () => {
    const input = open(
      riggedWith(
        [
          {
            x: -4,
            y: 0,
            fast: { x: 0, y: -10, length: 5.9 },
            spec: { breaks: 5000, damping: 40_000 },
          },
        ],
        [aboard('Ada', -3, 0)],
      ),
    );
    apart(
      'line not watched',
      input,
      20,
      [[1, engine(1, 0.5)]],
      [
        [1, engine(1, 0.5)],
        [2.5, engine(0)],
      ],
    );
  });

  it('line slack: dropped back on with it hanging, or motored against again', () => {
    const input = open(
      riggedWith(
        [{ x: -4, y: 0, fast: { x: 0, y: -10, length: 5.9 }, spec: { damping: 40_000 } }],
        [aboard('Ada', -3, 0)],
      ),
    );
    const held: Done = [
      [1, engine(1, 0.3)],
      [8, engine(-1, 0.2)],
    ];
    apart(
      'line slack',
      input,
      30,
      [...held, [18, engine(0)]],
      [...held, [10.5, engine(0)], [12, engine(1, 0.15)]],
    );
  });

  const zoned = (rule: 'keep out' | 'no wash') => {
    const outline = Float64Array.from([-20, 20, 20, 20, 20, 60, -20, 60]);
    return open({
      start: { x: 0, y: 0, heading: 0, speed: 1.2 },
      zones: [{ name: 'the reeds', outline, rule, most: 0.8 }],
    });
  };

  it('in no-go water: straight into it, or stopped before it', () => {
    apart(
      'in no-go water',
      zoned('keep out'),
      30,
      [[1, engine(1)]],
      [
        [1, engine(-1, 0.4)],
        [9, engine(0)],
      ],
    );
  });

  it('wash: through at full ahead, or in neutral', () => {
    apart(
      'wash',
      zoned('no wash'),
      40,
      [[1, engine(1, 0.6)]],
      [
        [1, engine(-1, 0.3)],
        [4, engine(0)],
      ],
    );
  });

  it('thruster leaned on: half the run on it, or a touch of it', () => {
    const input = open({ boat: { ...sloop(), thrusters: [jet(4, 300)] } });
    const push = (power: number): Order => ({ do: 'thruster', thruster: 0, power });
    apart(
      'thruster leaned on',
      input,
      60,
      [
        [1, push(1)],
        [40, push(0)],
      ],
      [
        [1, push(1)],
        [4, push(0)],
      ],
    );
  });

  it('person in danger: stepped ashore with the propeller turning, or in neutral', () => {
    const quay = box('quay', 2.1, -20, 8, 20);
    const step: Order = { do: 'stepAshore', by: 0, mark: { name: 'quay edge', x: 2.2, y: -4 } };
    const input = open({
      obstacles: [quay],
      ...riggedWith([{ x: 0, y: 1.6 }], [aboard('Ada', -4, 1.6), aboard('Ben', -3, 0)]),
    });
    apart(
      'person in danger',
      input,
      12,
      [
        [0.5, engine(1)],
        [1, step],
      ],
      [[1, step]],
    );
  });
});
