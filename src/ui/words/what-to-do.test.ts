import { briefOf, type Brief } from '@/core/brief';
import { berthOf, namedMarks, toRunInput } from '@/document';
import { stoppingSpring, subjectOf } from '@/planner';
import { demoFile } from '@/document/testing/demo';
import {
  aloneStatement,
  angleStatement,
  burstWays,
  crewStatements,
  fenderStatement,
  handsStatements,
  lineWays,
  sideStatement,
  springStatement,
  stepStatement,
  stepWays,
} from './what-to-do';

const units = { speed: 'kn', length: 'm', force: 'N' } as const;
const file = demoFile('alongside-wind-off');
const input = toRunInput(file);
if (!input.ok) throw new Error('the demo cannot be read');
let brief!: Brief;
for (const found of briefOf(input.value, false, namedMarks(file.place), false)) brief = found;

describe('what to do, in words', () => {
  it('names the side, with its reasons', () => {
    const said = sideStatement(brief, 'port', units)!;
    expect(said.text).toBe('Berth the boat port side to');
    expect(said.why).toMatch(
      /Going astern turns the boat \d+° in 5 s, its stern in to the berth\./,
    );
    expect(sideStatement(brief, 'starboard', units)!.text).toBe(
      'Port side to would be easier than starboard side to',
    );
  });

  it('gives the angle from the run, and the height of fenders from berth and boat', () => {
    expect(angleStatement(brief)!.text).toMatch(/^Come in at \d+° to the berth$/);
    const berth = berthOf(file)!;
    expect(berth.name).toBe('west gap');
    expect(fenderStatement(file.boat, berth, 'port', units)!.text).toMatch(
      /^Fenders to port with their middle 0\.4 m over the water$/,
    );
    expect(fenderStatement(file.boat, null, 'port', units)).toBeNull();
  });

  it('sets schools side by side with what each does here, the best marked', () => {
    const lines = lineWays(brief, units);
    expect(lines.map(({ best }) => best)).toEqual([true, false, false, false]);
    expect(lines[0]!.value).toBe('breast line');
    expect(lines[3]!.finding).toMatch(
      /^the boat goes [\d.]+ m off and [\d.]+ m along in half a minute$/,
    );
    const [idle, firm] = burstWays(brief, units).map(({ finding }) =>
      Number(/in ([\d.]+) m/.exec(finding)![1]),
    );
    expect(idle!).toBeGreaterThan(firm!);
  });

  it('says where to step by what is measured there, or by the school that was picked', () => {
    const at = (place: 'stern' | 'amidships' | 'bow', gap: number, propeller: number) => ({
      place,
      gap,
      over: 0.2,
      ladder: null,
      propeller,
      steppable: gap <= 0.6,
    });
    const places = [at('amidships', 0.3, 5.2), at('stern', 0.5, 1.4), at('bow', 1.2, 9)];
    const stepping = { ...brief, stepping: { time: 30, who: 'Wren', places } };
    const ways = stepWays(stepping, units);
    expect(ways.map(({ best }) => best)).toEqual([true, false, false]);
    expect(ways[0]!.finding).toBe('0.3 m to step over, 5.2 m from the propeller');
    expect(ways[1]!.finding).toMatch(/1\.4 m from the propeller; out of gear before/);
    expect(stepStatement(stepping, null, units)).toMatchObject({
      text: 'Wren steps amidships',
      time: 30,
      hurts: false,
    });
    expect(stepStatement(stepping, 'stern', units)!.why).toContain('amidships it is 0.3 m');
    expect(stepStatement(stepping, 'bow', units)).toMatchObject({
      text: 'Wren cannot step forward: bring the boat closer first',
      hurts: true,
    });
    const high = { ...at('amidships', 0.3, 5.2), over: 1.8, steppable: false };
    const climbing = (ladder: string | null) => ({
      ...brief,
      stepping: {
        time: 30,
        who: 'Wren',
        places: [{ ...high, ladder, steppable: ladder !== null }],
      },
    });
    expect(stepStatement(climbing(null), null, units)).toMatchObject({
      text: 'Wren cannot step amidships: stop the boat by a ladder',
      hurts: true,
    });
    expect(stepStatement(climbing('east ladder'), null, units)).toMatchObject({
      text: 'Wren climbs by the east ladder',
      hurts: false,
    });
    expect(stepWays(climbing('east ladder'), units)[0]!.finding).toBe(
      'it stands 1.8 m over the deck: by the east ladder, 5.2 m from the propeller',
    );
    expect(stepStatement(brief, null, units)).toBeNull();
    expect(stepWays(brief, units)).toEqual([]);
  });

  it('says who does what in the plan, by name', () => {
    const { plan } = demoFile('spring-on-before-she-blows-off');
    const said = handsStatements(plan, units).map(({ text }) => text);
    expect(said).toHaveLength(plan.crew.length);
    for (const [i, { name }] of plan.crew.entries()) expect(said[i]).toMatch(`${name}: `);
    expect(said.join(' ')).toMatch(/spring.*\(step \d\)/);
    expect(handsStatements(file.plan, units)).toEqual([]);
  });

  it('measures a spring that stops the boat, and says what it carries', () => {
    const said = springStatement(stoppingSpring(subjectOf(file)), units)!;
    const [, made, span] = /made fast at ([\d.]+) m.*\|.*, ([\d.]+) m from cleat/.exec(
      `${said.text}|${said.why}`,
    )!;
    expect(Number(made)).toBeLessThan(Number(span));
    expect(said.text).toMatch(/^A spring from the port midship cleat to cleat \d, /);
    const loads = [...said.why.matchAll(/(\d+) % of what parts it/g)].map((m) => Number(m[1]));
    expect(loads).toHaveLength(2);
    expect(loads[1]!).toBeGreaterThan(1.6 * loads[0]!);
    expect(springStatement(null, units)).toBeNull();
    expect(stoppingSpring(subjectOf(demoFile('off-the-wall')))).toBeNull();
  });

  it('says what one alone reaches from the helm', () => {
    const { plan, boat } = demoFile('spring-on-before-she-blows-off');
    expect(aloneStatement(boat, plan)).toBeNull();
    const alone = aloneStatement(boat, { ...plan, crew: plan.crew.slice(0, 1) })!;
    expect(alone.text).toMatch(/^Alone: from the helm Ines reaches /);
    expect(alone.why).toMatch(/port bow cleat \d+ s/);
  });

  it('gives everybody a task', () => {
    const said = crewStatements(brief, 'spring', true, units).map(({ text }) => text);
    expect(said[0]).toBe(
      'Line hand: the spring from amidships, led aft first, on a turn, made fast when the helm says so',
    );
    expect(said[1]).toMatch(/falling number, from a length off at \d:\d\d$/);
    expect(crewStatements(brief, null, false, units)[0]!.text).toContain('comes off last');
  });
});

it('says so when the line picked is not the one that holds the boat best', () => {
  const why = (line: 'spring' | 'breast line') => crewStatements(brief, line, true, units)[0]!.why;
  expect(why('breast line')).toMatch(/^Of the lines tried it alone holds the boat best here/);
  expect(why('spring')).toMatch(/^It is the school that was picked; another line/);
});
