import { transfer } from 'comlink';
import { z } from 'zod';
import { Drive, DriveTeller, lookAhead, playRecording, type Recording } from '@/core/drive';
import { gradeHandling, differencesBetween, faultsOf, handlingOf, reviewOf } from '@/core/debrief';
import type { RunInput } from '@/core/plan';
import {
  check,
  drivenFileSchema,
  failure,
  manoeuvreFileSchema,
  orderSchema,
  recordingSchema,
  success,
  toDrive,
  toDriveOrder,
  toRecording,
  type DriveFrom,
  type DriveInputDocument,
  type ManoeuvreFile,
  type OrderDocument,
  type Problem,
  type RecordingDocument,
  type Result,
} from '@/document';
import { buffersOf } from './buffers';
import { live } from './lifeline';
import type { DriveWorker } from './protocol';

const ordersSchema = z.array(orderSchema).max(200);
const timestepsSchema = z.int().min(0).max(18000);
const endSchema = z.enum(['done', 'broke off']);

/** A drive as it stands: what it is of, and what has been given, as the user keeps it. */
interface Going {
  readonly file: ManoeuvreFile;
  readonly input: RunInput;
  readonly drive: Drive;
  readonly teller: DriveTeller;
  readonly inputs: DriveInputDocument[];
  readonly surprises: RecordingDocument['surprises'];
}

let going: Going | null = null;

const NOT_OPEN = failure({ path: '(drive)', message: 'nothing is being driven' });

function recordingOf({ drive, inputs, surprises }: Going): RecordingDocument {
  const { timesteps, end, skips } = drive.recording();
  return { inputs: [...inputs], timesteps, end, surprises, skips: [...skips] };
}

function told({ teller, drive }: Going, problems: readonly Problem[] = []) {
  const now = teller.now();
  const { traffic } = drive;
  return transfer(success({ now, problems, traffic }), buffersOf(now.trace));
}

/** Gives what can be obeyed; what cannot is told and left out of the record. */
function give(at: Going, orders: readonly OrderDocument[]): readonly Problem[] {
  return orders.flatMap((order, i) => {
    const obeyed = toDriveOrder(order, at.file, `orders[${i}]`);
    if (!obeyed.ok) return obeyed.problems;
    if (at.drive.over) return [];
    at.inputs.push({ timestep: at.drive.timestep, order });
    at.drive.give(obeyed.value);
    return [];
  });
}

function read(
  file: unknown,
  recording: unknown,
): Result<{ manoeuvre: ManoeuvreFile; recorded: RecordingDocument; from: DriveFrom }> {
  const manoeuvre = check(manoeuvreFileSchema, file);
  if (!manoeuvre.ok) return manoeuvre;
  const recorded = check(recordingSchema, recording);
  if (!recorded.ok) return recorded;
  const from = toDrive({ manoeuvre: manoeuvre.value, recording: recorded.value });
  if (!from.ok) return from;
  return success({ manoeuvre: manoeuvre.value, recorded: recorded.value, from: from.value });
}

function driven(file: unknown) {
  const checked = check(drivenFileSchema, file);
  return checked.ok ? read(checked.value.manoeuvre, checked.value.recording) : checked;
}

function played(input: RunInput, recording: Recording) {
  const { run } = playRecording(input, recording);
  return transfer(success(run), buffersOf(run.trace));
}

/** What the worker answers; in a component test it answers in the page itself. */
export const driveCalls: DriveWorker = {
  open(file, recording) {
    const opened = read(file, recording);
    if (!opened.ok) return opened;
    const { manoeuvre, recorded, from } = opened.value;
    const drive = new Drive(from.input, from.recording.surprises);
    drive.follow(from.recording);
    going = {
      file: manoeuvre,
      input: from.input,
      drive,
      teller: new DriveTeller(drive, from.input.berth),
      inputs: [...recorded.inputs],
      surprises: recorded.surprises,
    };
    return told(going);
  },
  advance(orders, timesteps) {
    if (!going) return NOT_OPEN;
    const given = check<OrderDocument[]>(ordersSchema, orders);
    if (!given.ok) return given;
    const count = check<number>(timestepsSchema, timesteps);
    if (!count.ok) return count;
    const problems = give(going, given.value);
    for (let i = 0; i < count.value; i++) going.drive.stepOn();
    return told(going, problems);
  },
  passOn() {
    if (!going) return NOT_OPEN;
    going.drive.passOn();
    return told(going);
  },
  close(end) {
    if (!going) return NOT_OPEN;
    const how = check<'done' | 'broke off'>(endSchema, end);
    if (!how.ok) return how;
    going.drive.close(how.value);
    return told(going);
  },
  recording() {
    return going ? success(recordingOf(going)) : NOT_OPEN;
  },
  ahead() {
    return going ? success(lookAhead(going.drive)) : NOT_OPEN;
  },
  soFar() {
    if (!going) return NOT_OPEN;
    const recorded = toRecording(going.file, recordingOf(going));
    if (!recorded.ok) return recorded;
    return played(going.input, recorded.value);
  },
  replay(file, recording) {
    const opened = read(file, recording);
    if (!opened.ok) return opened;
    const { input, recording: of } = opened.value.from;
    return played(input, of);
  },
  review(file, recording) {
    const opened = read(file, recording);
    if (!opened.ok) return opened;
    const review = reviewOf(opened.value.from.input, opened.value.from.recording);
    const faults = faultsOf(review);
    const { run, ways, traffic } = review;
    const reviewed = {
      run,
      faults,
      graded: gradeHandling(review, faults),
      handling: handlingOf(review),
      ways,
      traffic,
    };
    return transfer(success(reviewed), buffersOf(run.trace));
  },
  differences(reference, other) {
    const one = driven(reference);
    if (!one.ok) return one;
    const two = driven(other);
    if (!two.ok) return two;
    if (one.value.manoeuvre.boat.id !== two.value.manoeuvre.boat.id)
      return failure({
        path: 'other',
        message: 'was driven in another boat; choose one in the same',
      });
    return success(differencesBetween(one.value.from, two.value.from));
  },
};

live(driveCalls);
