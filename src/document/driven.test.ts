import { playRecording } from '@/core/drive';
import {
  check,
  drivenFileSchema,
  recordingSchema,
  toDrive,
  toDriveOrder,
  type DrivenFile,
  type RecordingDocument,
} from './';
import { demoFile } from './testing/demo';

const manoeuvre = demoFile('off-stilt-pontoon');
const recording: RecordingDocument = {
  inputs: [
    { timestep: 30, order: { do: 'wheel', after_s: 0, angle_deg: -20 } },
    { timestep: 31, order: { do: 'engine', after_s: 0, gear: 'ahead', throttle: 0.2 } },
    { timestep: 90, order: { do: 'engine', after_s: 0, gear: 'neutral', throttle: 0 } },
  ],
  timesteps: 120,
  end: 'done',
  skips: [],
  surprises: [{ is: 'gust', at_s: 4, by: 0.5, lasts_s: 6 }],
};
const file = { $schema: 'yawtrope:driven', version: 2, manoeuvre, recording, notes: [] } as const;

const problems = (value: unknown) => {
  const checked = check(recordingSchema, value);
  return checked.ok ? [] : checked.problems.map(({ path, message }) => `${path}: ${message}`);
};

describe('a driven run as a file', () => {
  it('goes to text and back without loss, and plays the same', () => {
    const back = check<DrivenFile>(drivenFileSchema, JSON.parse(JSON.stringify(file)));
    if (!back.ok) throw new Error(JSON.stringify(back.problems));
    expect(back.value).toEqual(file);
    const one = toDrive(file);
    const two = toDrive(back.value);
    if (!one.ok || !two.ok) throw new Error('cannot be driven');
    const [a, b] = [one, two].map(({ value }) => playRecording(value.input, value.recording).run);
    expect(b!.trace.x).toEqual(a!.trace.x);
    expect(a!.duration).toBeCloseTo(12, 9);
  });

  it('refuses what is out of order, late, or too much, by its path', () => {
    const [first, second] = recording.inputs;
    expect(problems({ ...recording, inputs: [second, first] })).toEqual([
      expect.stringMatching(/^inputs\[1\].timestep: must come in order/),
    ]);
    expect(problems({ ...recording, timesteps: 40 })).toEqual([
      expect.stringMatching(/^inputs\[2\].timestep: .*not after timestep 40/),
    ]);
    const late = { timestep: 1, order: { ...first!.order, after_s: 2 } };
    expect(problems({ ...recording, inputs: [late] })).toEqual([
      expect.stringMatching(/after_s: must be 0/),
    ]);
    expect(problems({ ...recording, surprises: [{ is: 'whale', at_s: 1 }] })).toHaveLength(1);
    expect(problems({ ...recording, timesteps: 1e9 })).toHaveLength(1);
  });

  it('says which order or surprise the boat has nothing for', () => {
    const order = toDriveOrder(
      { do: 'thruster', after_s: 0, thruster: 'bow thruster', power: 1 },
      manoeuvre,
    );
    expect(order.ok ? [] : order.problems[0]!.path).toMatch(/^order/);
    const surprised = toDrive({
      manoeuvre,
      recording: { ...recording, surprises: [{ is: 'joystickFails', at_s: 1 }] },
    });
    expect(surprised.ok ? [] : surprised.problems[0]!.path).toMatch(/^recording\.surprises\[0\]/);
  });
});
