import { briefOf, type Brief } from '@/core/brief';
import { stopHere } from '@/core/brief/capabilities';
import { demoFile } from './demo';
import { runPlan, type RunInput } from '@/core/plan';
import { NO_VARIATION, Rollout, openWaterOf, vary, type Surroundings } from '@/core/search';
import { PSI, X, Y, type SimState } from '@/core/simulation';
import { toRunInput } from '../run-input';

function briefed(input: RunInput): Brief {
  let last: Brief | null = null;
  for (const found of briefOf(input, false, [], false)) last = found;
  return last!;
}

/** The boat's state where it is two lengths off, or fastest. */
function stoppingState(input: RunInput, said: Brief, water: Surroundings): SimState {
  const run = runPlan(input);
  const two = said.speeds.find(({ lengths }) => lengths === 2)?.time;
  const { groundSpeed, time } = run.trace;
  const at = two ?? time[groundSpeed.indexOf(Math.max(...groundSpeed))]!;
  let found: SimState | null = null;
  runPlan(input, (state) => {
    if (!found && state.time >= at - 1e-9) found = water.copyOf(state);
  });
  return found!;
}

const worksByLooking = ({ plan }: RunInput) =>
  plan.steps.some(({ orders }) =>
    orders.some(({ order }) => order.do === 'workIn' || order.do === 'workClear'),
  );

/** What is said of a demo is what happens when it is tried, with either propeller, in the place and its mirror image. */
export function testBriefOf(id: string, mirrored: (input: RunInput) => RunInput): void {
  const read = toRunInput(demoFile(id));
  if (!read.ok) throw new Error('the demo cannot be read');
  const base = read.value;
  const mirror = mirrored(base);
  const known = new Map<RunInput, Brief>();
  const saidOf = (input: RunInput) => {
    const said = known.get(input) ?? briefed(input);
    known.set(input, said);
    return said;
  };
  const cases = [
    ['as it is', base],
    ['with the other hand', vary(base, { ...NO_VARIATION, otherHand: true })],
    ['mirrored', mirror],
  ] as const;

  it.each(cases)('%s: safe side, aim-off and turn are what trying shows', (_name, input) => {
    const said = saidOf(input);
    const water = openWaterOf(input);
    for (const leg of said.legs) {
      const { x, y, heading } = leg.push;
      const rollout = new Rollout(water, water.stillAt(x, y, heading, (leg.from + leg.to) / 2));
      rollout.until(() => false, 30);
      const dx = rollout.state.motion[X]! - x;
      const dy = rollout.state.motion[Y]! - y;
      const aside = dx * Math.cos(heading) - dy * Math.sin(heading);
      if (leg.lee === 'port') expect(aside).toBeLessThan(0);
      if (leg.lee === 'starboard') expect(aside).toBeGreaterThan(0);
    }
    // Aimed off to the side that is said the boat ends straighter than aimed off to the other.
    const { stop } = said.able ?? {};
    if (stop && Math.abs(stop.turned) > 0.035) {
      const ends = ([1, -1] as const).map((way) => {
        const from = stoppingState(input, said, water);
        const lane = from.motion[PSI]!;
        from.motion[PSI]! -= way * stop.turned;
        const tried = stopHere(water, from);
        return Math.abs(from.motion[PSI]! + (tried?.turned ?? 0) - lane);
      });
      expect(ends[0]!).toBeLessThan(ends[1]!);
    }
    for (const turn of said.able?.turns ?? []) {
      // The boat may also not come round at all.
      expect(turn.done && turn.touched).toBe(false);
      if (turn.done) expect(turn.nearest.distance).toBeGreaterThan(-0.02);
    }
  });

  it('mirrored with the other hand is the brief mirrored', () => {
    const here = saidOf(base);
    const there = saidOf(mirror);
    const other = { port: 'starboard', starboard: 'port' } as Record<string, string>;
    expect(there.berthed?.lines.map(({ line }) => line)).toEqual(
      here.berthed?.lines.map(({ line }) => line),
    );
    for (const { side, worth } of here.berthed?.sides ?? [])
      expect(there.berthed!.sides.find((s) => s.side === other[side])!.worth).toBeCloseTo(worth, 6);
    // Where somebody looks ahead a last bit may make them choose otherwise: it goes as well, not the same.
    if (worksByLooking(base)) return;
    expect(there.legs.map(({ lee }) => lee)).toEqual(
      here.legs.map(({ lee }) => (lee === null ? null : (other[lee] ?? lee))),
    );
    // Exactly mirrored the boat is for some minutes; after ten of touches in a chamber a last bit has become a centimetre, and where
    // it has most room to turn is another place by then.
    const locked = (base.locks ?? []).length > 0;
    const alike = (a: number, b: number, within: number) =>
      expect(Math.abs(a - b)).toBeLessThan(within);
    const room = (b: Brief, side: string) => b.able?.turns.find((t) => t.side === side)?.room ?? 0;
    alike(room(there, 'port'), room(here, 'starboard'), locked ? 0.2 : 5e-4);
    alike(room(there, 'starboard'), room(here, 'port'), locked ? 0.2 : 5e-4);
    const turned = (b: Brief) => b.able?.stop?.turned ?? 0;
    alike(turned(there), -turned(here), locked ? 0.01 : 5e-5);
  });
}
