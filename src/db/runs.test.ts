import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { RecordingDocument } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { tasks } from '@/jobs/tasks';
import {
  keepRun,
  listRuns,
  openLibrary,
  openRun,
  saveNotes,
  saveRecording,
  saveSummary,
  seedDemo,
  setRunAside,
  RUNS_PER_PAGE,
  type RunPage,
} from './';

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-takes-'));
const db = openLibrary(directory);
seedDemo(db, join(process.cwd(), 'demo'), 1);
afterAll(() => rmSync(directory, { recursive: true, force: true }));

const manoeuvreId = 'off-stilt-pontoon';
const recording = (timesteps: number): RecordingDocument => ({
  inputs: [{ timestep: 1, order: { do: 'wheel', after_s: 0, angle_deg: 10 } }],
  timesteps,
  end: null,
  surprises: [],
  skips: [],
});
const MANOEUVRE = demoFile(manoeuvreId);
const run = (id: string, steps = 20, of = manoeuvreId) => ({
  id,
  manoeuvreId: of,
  manoeuvre: MANOEUVRE,
  recording: recording(steps),
  startedAt: Number(id.slice(-1)),
});

const ids = () => listRuns(db, manoeuvreId).runs.map(({ id }) => id);

describe('driven runs', () => {
  it('are kept as they grow, once though sent twice, and listed in their order with what they came to', () => {
    expect(keepRun(db, run('run-2'), 5)).toBe(true);
    expect(keepRun(db, run('run-1'), 6)).toBe(true);
    expect(keepRun(db, run('run-1', 35), 7)).toBe(true);
    expect(saveRecording(db, 'run-2', recording(50), 8)).toBe(true);
    expect(ids()).toEqual(['run-1', 'run-2']);
    expect(listRuns(db, 'quince-backs-out')).toEqual({ runs: [], before: null, earlier: 0 });
  });

  it('are summed up when that is asked, until more is driven', async () => {
    const durations = () =>
      listRuns(db, manoeuvreId).runs.map(({ summary }) => summary?.duration_s.toFixed(1));
    expect(durations()).toEqual([undefined, undefined]);
    const found = await tasks.summarise({ directory, ids: ['run-1', 'run-2', 'no-such'] });
    expect(found['run-2']!.duration_s).toBeCloseTo(5, 9);
    expect(found['no-such']).toBeNull();
    expect(durations()).toEqual(['3.5', '5.0']);
    saveRecording(db, 'run-2', recording(60), 9);
    expect(durations()).toEqual(['3.5', undefined]);
    // Driven on while it was being looked over: what was found is of another run by now.
    saveSummary(db, 'run-2', recording(50), found['run-2']!);
    expect(durations()).toEqual(['3.5', undefined]);
  });

  it('are listed a page at a time, the newest first come to', () => {
    const of = 'alongside-wind-off';
    const all = Array.from({ length: RUNS_PER_PAGE * 2 + 7 }, (_, i) => ({
      ...run(`many-${String(i).padStart(4, '0')}`, 5, of),
      // Some begin in one moment.
      startedAt: Math.floor(i / 3),
    }));
    db.transaction(() => all.forEach((one) => keepRun(db, one, 1)));
    const found: string[] = [];
    let before: string | null = null;
    do {
      const page: RunPage = listRuns(db, of, before);
      found.unshift(...page.runs.map(({ id }) => id));
      expect(page.earlier).toBe(all.length - found.length);
      before = page.before;
    } while (before !== null);
    expect(found).toEqual(all.map(({ id }) => id));
  });

  it('need a manoeuvre that is kept here, and say so where there is no such take', () => {
    expect(keepRun(db, run('run-9', 20, 'no-such'), 5)).toBe(false);
    expect(saveRecording(db, 'run-8', recording(1), 5)).toBe(false);
    expect(saveNotes(db, 'run-8', [], 5)).toBe(false);
    expect(openRun(db, 'run-8')).toBeNull();
  });

  it('hold the manoeuvre as it was, and what is noted of them', () => {
    const note = { at_s: 1.5, by: 'instructor', text: '<i>wheel</i> first' } as const;
    expect(saveNotes(db, 'run-1', [note], 9)).toBe(true);
    const opened = openRun(db, 'run-1');
    if (!opened?.ok) throw new Error('cannot be opened');
    expect(opened.value.file.notes).toEqual([note]);
    expect(opened.value.file.manoeuvre).toEqual(demoFile(manoeuvreId));
  });

  it('are put aside and brought back', () => {
    expect(setRunAside(db, 'run-1', 10)).toBe(true);
    expect(ids()).toEqual(['run-2']);
    expect(openRun(db, 'run-1')).toBeNull();
    expect(setRunAside(db, 'run-1', null)).toBe(true);
    expect(ids()).toHaveLength(2);
  });
});
