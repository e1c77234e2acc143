import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { RecordingDocument } from '@/document';
import { demoFile } from '@/document/testing/demo';
import {
  keepTake,
  listTakes,
  openLibrary,
  openTake,
  saveNotes,
  saveRecording,
  seedDemo,
  setTakeAside,
} from '.';

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-takes-'));
const db = openLibrary(directory);
seedDemo(db, join(process.cwd(), 'demo'), 1);
afterAll(() => rmSync(directory, { recursive: true, force: true }));

const manoeuvreId = 'off-stilt-pontoon';
const recording = (steps: number): RecordingDocument => ({
  inputs: [{ step: 1, order: { do: 'wheel', after_s: 0, angle_deg: 10 } }],
  steps,
  end: null,
  surprises: [],
  skips: [],
});
const take = (id: string, steps = 20, of = manoeuvreId) => ({
  id,
  manoeuvreId: of,
  manoeuvre: demoFile(manoeuvreId),
  recording: recording(steps),
  startedAt: Number(id.slice(-1)),
});

describe('driven takes', () => {
  it('are kept as they grow, once though sent twice, and listed in their order with what they came to', () => {
    expect(keepTake(db, take('take-2'), 5)).toBe(true);
    expect(keepTake(db, take('take-1'), 6)).toBe(true);
    expect(keepTake(db, take('take-1', 35), 7)).toBe(true);
    expect(saveRecording(db, 'take-2', recording(50), 8)).toBe(true);
    const list = listTakes(db, manoeuvreId);
    expect(list.map(({ id }) => id)).toEqual(['take-1', 'take-2']);
    expect(list.map(({ summary }) => summary?.duration_s.toFixed(1))).toEqual(['3.5', '5.0']);
    // Worked out once, and again when more was driven.
    expect(listTakes(db, manoeuvreId)).toEqual(list);
    saveRecording(db, 'take-2', recording(60), 9);
    expect(listTakes(db, manoeuvreId)[1]!.summary!.duration_s).toBeCloseTo(6, 9);
    expect(listTakes(db, 'quince-backs-out')).toEqual([]);
  });

  it('need a manoeuvre that is kept here, and say so where there is no such take', () => {
    expect(keepTake(db, take('take-9', 20, 'no-such'), 5)).toBe(false);
    expect(saveRecording(db, 'take-8', recording(1), 5)).toBe(false);
    expect(saveNotes(db, 'take-8', [], 5)).toBe(false);
    expect(openTake(db, 'take-8')).toBeNull();
  });

  it('hold the manoeuvre as it was, and what is noted of them', () => {
    const note = { at_s: 1.5, by: 'instructor', text: '<i>wheel</i> first' } as const;
    expect(saveNotes(db, 'take-1', [note], 9)).toBe(true);
    const opened = openTake(db, 'take-1');
    if (!opened?.ok) throw new Error('cannot be opened');
    expect(opened.value.file.notes).toEqual([note]);
    expect(opened.value.file.manoeuvre).toEqual(demoFile(manoeuvreId));
  });

  it('are put aside and brought back', () => {
    expect(setTakeAside(db, 'take-1', 10)).toBe(true);
    expect(listTakes(db, manoeuvreId).map(({ id }) => id)).toEqual(['take-2']);
    expect(openTake(db, 'take-1')).toBeNull();
    expect(setTakeAside(db, 'take-1', null)).toBe(true);
    expect(listTakes(db, manoeuvreId)).toHaveLength(2);
  });
});
