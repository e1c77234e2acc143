import { runPlan } from '@/core/plan';
import { beginManoeuvre } from '../beginnings/begin';
import { manoeuvreFileSchema, type ManoeuvreFile } from '@/document/manoeuvre';
import { lineEnds, placeSchema, type Place } from '@/document/place';
import { check } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { placeOf } from '@/document/others';
import { namedPoints } from '@/document/boat-spec';
import { demoJson } from '@/document/testing/demo';
import { fleetRecord } from '@/document/testing/fleet';
import { atFirst } from '../template';
import { templatesFor } from '../testing/asked';

// Somebody has rigged bow and stern line to a jetty, and asks for a technique that takes the boat off it.

const WEST = 275;

/** Fennick port side to the jetty, heading about west, on a line ahead from the boat's bow and one astern from its quarter. */
function tied(
  from_deg: number,
  speed_mps: number,
  change: (file: ManoeuvreFile) => void = () => {},
) {
  const place = check<Place>(placeSchema, demoJson('places', 'cinder-jetty'));
  if (!place.ok) throw new Error('the place');
  const begun = beginManoeuvre({
    id: 'm',
    title: 'm',
    boat: fleetRecord('fennick'),
    place: place.value,
    berthId: 'jetty-long',
    side: 'port',
    going: 'out',
    conditions: {
      wind: { from_deg, speed_mps },
      current: { set_deg: 0, speed_mps: 0 },
      water: 'sea',
    },
  });
  if (!begun.ok) throw new Error(JSON.stringify(begun.problems));
  const checked = check<ManoeuvreFile>(manoeuvreFileSchema, begun.value);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  const file = checked.value;
  const points = namedPoints(file.boat);
  const line = (name: string, from: string) => {
    const { x, y } = points.find((point) => point.name === from)!;
    const at = placeOf(file.start, x, y);
    const off = (end: { x: number; y: number }) => Math.hypot(end.x - at.x, end.y - at.y);
    const heading = (file.start.heading_deg * Math.PI) / 180;
    const beyond = lineEnds(file.place).filter((end) => {
      const ahead = (end.x - at.x) * Math.sin(heading) + (end.y - at.y) * Math.cos(heading);
      return ahead * x > 0;
    });
    const to = beyond.reduce((a, b) => (off(b) < off(a) ? b : a));
    return {
      name,
      from,
      length_m: Math.ceil(1.5 * off(to)),
      rope: 'polyester' as const,
      strengthLeft: 0.6,
      doubled: false,
      fast: { to: to.name },
    };
  };
  const lines = [line('bow line', 'port bow cleat'), line('stern line', 'port quarter cleat')];
  const rigged = check<ManoeuvreFile>(manoeuvreFileSchema, {
    ...file,
    plan: { ...file.plan, lines },
  });
  if (!rigged.ok) throw new Error(JSON.stringify(rigged.problems));
  change(rigged.value);
  return rigged.value;
}

const written = (file: ManoeuvreFile, technique: Parameters<typeof templatesFor>[1]) => {
  const templates = templatesFor(file, technique);
  const [template] = templates;
  return atFirst(template!);
};

const gone = (file: ManoeuvreFile) =>
  written(file, 'drop-off-and-away').steps.flatMap(({ orders }) =>
    orders.flatMap((order) => (order.do === 'letGo' ? [order.line] : [])),
  );

describe('lines rigged before a technique is asked for', () => {
  it('go one by one, the one last that holds her best against what pushes', () => {
    expect(gone(tied(WEST, 12))).toEqual(['stern line', 'bow line']);
    expect(gone(tied(WEST - 180, 12))).toEqual(['bow line', 'stern line']);
  });

  it('are slips, and off before she goes ahead', () => {
    const file = tied(190, 9);
    const plan = written(file, 'drop-off-and-away');
    expect(plan.lines.map(({ doubled }) => doubled)).toEqual([true, true]);
    const input = toRunInput({ ...file, plan });
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const run = runPlan(input.value);
    expect(run.outcome).toBe('reached');
    const home = run.events.filter((e) => e.is === 'line' && e.what === 'home');
    expect(home).toHaveLength(2);
    const ahead = plan.steps.findIndex(({ id }) => id === 'ahead');
    const away = run.steps.find(({ step }) => step === ahead)!;
    expect(Math.max(...home.map(({ time }) => time))).toBeLessThanOrEqual(away.time);
  });

  it('one alone is slipped at once', () => {
    const file = tied(WEST, 6, ({ plan }) => plan.lines.splice(1));
    const plan = written(file, 'stern-out-and-astern');
    expect(plan.steps.map(({ id }) => id).slice(0, 2)).toEqual(['last-line', 'stern-out']);
    expect(plan.steps[0]!.cue).toEqual({ is: 'start' });
  });

  it('fenders that are out stay out where a technique hangs none', () => {
    const fender = {
      name: 'mine',
      x_m: 0,
      side: 'port' as const,
      diameter_m: 0.3,
      length_m: 0.9,
      pressure_kPa: 15,
      loss_spm: 1,
    };
    const file = tied(190, 9, ({ plan }) => plan.fenders.push(fender));
    expect(written(file, 'drop-off-and-away').fenders).toEqual([fender]);
  });
});
