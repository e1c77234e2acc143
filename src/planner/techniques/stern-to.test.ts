import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { runPlan } from '@/core/plan';
import { boatSchema } from '@/document/boat';
import { beginManoeuvre } from '../beginnings/begin';
import { lineEnds, placeSchema, type Place } from '@/document/place';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { lyingIn } from '../berths';
import { atFirst } from '../template';
import { refusalOf, templatesFor } from '../testing/asked';

const read = (kind: string, id: string): unknown =>
  JSON.parse(readFileSync(join(process.cwd(), 'demo', kind, `${id}.json`), 'utf8'));
const place = placeSchema.parse(read('places', 'tallow-quay'));
const ottoline = boatSchema.parse(read('boats', 'ottoline'));

const begun = (berthId: string, going: 'in' | 'out') => {
  const made = beginManoeuvre({
    boat: ottoline,
    place,
    berthId,
    going,
    id: 'try',
    title: 'try',
    side: 'port',
    conditions: {
      wind: { from_deg: 100, speed_mps: 3 },
      current: { set_deg: 90, speed_mps: 0 },
      water: 'sea',
    },
  } as Parameters<typeof beginManoeuvre>[0]);
  if (!made.ok) throw new Error(made.problems[0]!.message);
  return made.value;
};

describe('stern to', () => {
  const berth = place.berths.find(({ id }) => id === 'tallow-four')!;

  it('she lies a metre off the quay with her bow out, whichever side is asked for', () => {
    const lying = lyingIn(place, berth, ottoline, 'port');
    expect(lyingIn(place, berth, ottoline, 'starboard')).toEqual(lying);
    const [[ax, ay], [bx, by]] = berth.edge_m;
    const off = Math.hypot(lying.x - (ax + bx) / 2, lying.y - (ay + by) / 2);
    expect(off).toBeCloseTo(ottoline.hull.length_m / 2 + 1, 6);
    // Away from the quay, square to its edge.
    const along = Math.atan2(bx - ax, by - ay);
    expect(Math.abs(Math.sin(lying.heading - along))).toBeCloseTo(1, 3);
    expect(lying.bowIn).toBe(false);
  });

  it('a manoeuvre in begins on clear water with her stern as the point, and one out where she lies', () => {
    const into = begun('tallow-four', 'in');
    expect(into.goal).toMatchObject({ is: 'lie', point: 'stern', heading_deg: 17 });
    expect(into.start.speed_mps).toBeGreaterThan(0.5);
    const out = begun('tallow-four', 'out');
    expect(out.goal.is).toBe('clear');
    expect(out.start).toMatchObject({ heading_deg: 17, speed_mps: 0 });
  });

  it('ground lines are ends a line goes to, with their tails; a tail needs a bollard', () => {
    const ground = lineEnds(place).filter(({ tail }) => tail);
    expect(ground).toHaveLength(8);
    for (const { height, tail } of ground) {
      expect(height).toBe(-3.5);
      expect(place.features.find(({ name }) => name === tail!.name)?.kind).toBe('bollard');
    }
    const loose = structuredClone(read('places', 'tallow-quay')) as Place;
    for (const f of loose.features) if (f.kind === 'groundLine') f.tail = 'nowhere';
    const checked = placeSchema.safeParse(loose);
    expect(checked.success).toBe(false);
    expect(checked.error!.issues[0]!.message).toContain("there is no bollard 'nowhere'");
  });

  it('the technique is for her stern to a quay with ground lines, and says what is missing else', () => {
    const unfit = (file: ReturnType<typeof begun>) => refusalOf(file, 'stern-to-on-ground-lines');
    const file = begun('tallow-four', 'in');
    expect(unfit(file)).toBeNull();
    const bare = { ...place, features: place.features.filter((f) => f.kind !== 'groundLine') };
    expect(unfit({ ...file, place: bare })).toEqual({ why: 'no ground line' });
    expect(unfit(demoFile('crosswind-slip'))).toEqual({ why: 'not stern to the quay' });
  });

  it.each([100, 290])('puts the windward lines on first with the wind from %i°', (from) => {
    const file = begun('tallow-four', 'in');
    file.conditions.wind.from_deg = from;
    const templates = templatesFor(file, 'stern-to-on-ground-lines');
    for (const template of templates) {
      const plan = atFirst(template);
      const side = from === 100 ? 'starboard' : 'port';
      expect(plan.lines.map((l) => l.from)).toEqual([
        `${side} quarter cleat`,
        `${side} bow cleat`,
        `${side === 'port' ? 'starboard' : 'port'} quarter cleat`,
      ]);
      expect(toRunInput({ ...file, plan }).ok).toBe(true);
    }
  });

  it('the demo lies on three lines, and lets go of none of them', () => {
    const file = demoFile('stern-to-before-supper');
    const input = toRunInput(file);
    if (!input.ok) throw new Error(input.problems[0]!.message);
    const run = runPlan(input.value);
    const on = run.events.flatMap((e) => (e.is === 'line' && e.what === 'on' ? [e.line] : []));
    expect(on).toEqual([0, 1, 2]);
    expect(run.events.some((e) => e.is === 'line' && e.what === 'let go')).toBe(false);
  });
});
