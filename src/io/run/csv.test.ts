import Papa from 'papaparse';
import { demoFile } from '@/document/testing/demo';
import { runCsv } from './csv';

const file = (timesteps: number) => ({
  $schema: 'yawtrope:driven' as const,
  version: 2 as const,
  manoeuvre: demoFile('off-stilt-pontoon'),
  recording: { inputs: [], timesteps, end: null, surprises: [], skips: [] },
  notes: [],
});

it('writes a line of names and a line for every tenth of a second, figures in full', () => {
  const csv = runCsv(file(25));
  if (!csv.ok) throw new Error('no CSV');
  const { data, errors } = Papa.parse<Record<string, string>>(csv.value, { header: true });
  expect(errors).toEqual([]);
  expect(data).toHaveLength(26);
  expect(Number(data[25]!.time)).toBeCloseTo(2.5, 9);
  expect(Number(data[0]!.x)).toBe(10.15);
  expect(Object.keys(data[0]!)).toContain('clearance');
});

it('leaves a figure that is not there empty', () => {
  const { manoeuvre, ...rest } = file(1);
  const place = { ...manoeuvre.place, features: [], berths: [] };
  const open = {
    ...manoeuvre,
    place,
    berth: [],
    plan: {
      ...manoeuvre.plan,
      steps: [{ ...manoeuvre.plan.steps[0]!, orders: [] }],
      end: { cue: { is: 'after' as const, time_s: 1 }, within_s: 5 },
    },
  };
  const csv = runCsv({ ...rest, manoeuvre: open });
  if (!csv.ok) throw new Error(JSON.stringify(csv.problems));
  const [row] = Papa.parse<Record<string, string>>(csv.value, { header: true }).data;
  expect(row!.clearance).toBe('');
});
