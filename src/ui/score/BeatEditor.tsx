'use client';
import { ArrowLeft, ArrowRight, CopyPlus, Scissors, Trash2, X } from 'lucide-react';
import { useEffect, useMemo, useRef } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { BeatDocument } from '@/document';
import { useLiveForm } from '../hooks/use-live-form';
import { FieldError, NumberField, Part, TextField } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { Gesture } from '../state/workspace';
import { beatResolver, fromForm, toForm, type BeatForm } from './beat-form';
import { freshCue } from './cue-rows';
import { freshExpect } from './expect-rows';
import { CueFields } from './CueFields';
import { duplicateBeat, freshBeatId, moveBeat, removeBeat, splitBeat } from './edits';
import { ExpectRows } from './ExpectRows';
import { OrderRows } from './OrderRows';
import { useNames } from './use-names';

/** Cuts the beat in two where the playhead stands. */
function SplitButton({ beat }: { beat: BeatDocument }) {
  const score = useWorkspace((s) => s.manoeuvre.score);
  const { beats } = score;
  const edit = useWorkspace((s) => s.edit);
  const select = useWorkspace((s) => s.select);
  const marks = usePlayhead((p) => p.marks);
  const time = usePlayhead((p) => p.time);
  const index = beats.findIndex(({ id }) => id === beat.id);
  const from = marks.find((mark) => mark.beat === index)?.time;
  const to = marks.find((mark) => mark.beat === index + 1)?.time ?? Infinity;
  const within = from !== undefined && time > from + 0.2 && time < to;
  return (
    <IconButton
      label={within ? 'Split at the playhead' : 'Split: put the playhead inside this beat first'}
      disabled={!within}
      onClick={() => {
        const id = freshBeatId(beats);
        const next = splitBeat(score, beat.id, id, time - from!);
        edit((m) => {
          m.score = next;
        });
        select(id);
      }}
    >
      <Scissors size={15} />
    </IconButton>
  );
}

/** A beat's cue, orders, expectations and way out, edited in place. Every sound change plays at once. */
export function BeatEditor({ beat, number }: { beat: BeatDocument; number: number }) {
  const store = useWorkspaceStore();
  const score = useWorkspace((s) => s.manoeuvre.score);
  const edit = useWorkspace((s) => s.edit);
  const select = useWorkspace((s) => s.select);
  const units = useUnits();
  const { points, watched, marks, lines, locks, crew } = useNames();
  const fresh = useMemo(
    () => ({
      cue: freshCue(points[0] ?? '', marks[0] ?? '', lines[0], locks[0]?.name, crew[0]),
      expect: freshExpect(points[0] ?? '', marks[0] ?? '', lines[0]),
    }),
    [points, marks, lines, locks, crew],
  );

  const form = useForm<BeatForm>({
    defaultValues: toForm(beat, fresh, units),
    resolver: beatResolver(beat.id, units),
    mode: 'onChange',
  });
  const { register } = form;
  const { errors } = form.formState;
  const gesture = useRef<Gesture | null>(null);
  useLiveForm(
    form,
    beat,
    (part) => toForm(part, fresh, units),
    (values) => fromForm(beat.id, values, units),
    (next) => {
      const apply = gesture.current ?? { edit: store.getState().edit };
      apply.edit((m) => {
        const beats = m.score.beats.map((b) => (b.id === beat.id ? next : b));
        m.score = { ...m.score, beats };
      });
      return store.getState().manoeuvre.score.beats.find((b) => b.id === beat.id) ?? next;
    },
    units,
  );

  const endGesture = () => {
    gesture.current?.end();
    gesture.current = null;
  };
  useEffect(() => endGesture, []);

  const copy = () => {
    const id = freshBeatId(score.beats);
    const next = duplicateBeat(score, beat.id, id);
    edit((m) => {
      m.score = next;
    });
    select(id);
  };
  const remove = () => {
    edit((m) => {
      m.score = removeBeat(m.score, beat.id);
    });
    select(null);
  };
  const move = (by: number) =>
    edit((m) => {
      m.score = moveBeat(m.score, beat.id, by);
    });

  return (
    <FormProvider {...form}>
      <form
        aria-label={`Beat ${number}`}
        onSubmit={(event) => event.preventDefault()}
        onFocusCapture={(event) => {
          // Typing in one field is undone as one.
          if (!(event.target instanceof HTMLInputElement)) return;
          endGesture();
          gesture.current = new Gesture(store);
        }}
        onBlurCapture={endGesture}
      >
        <div className="flex items-center gap-2 pb-1">
          <span className="figures flex size-[22px] shrink-0 items-center justify-center rounded-full bg-plan text-[14px] font-bold text-on-plan">
            {number}
          </span>
          <h2 className="flex-1 text-[15px] font-semibold">Beat {number}</h2>
          <span className="flex">
            <IconButton label="Earlier" disabled={number === 1} onClick={() => move(-1)}>
              <ArrowLeft size={15} />
            </IconButton>
            <IconButton
              label="Later"
              disabled={number === score.beats.length}
              onClick={() => move(1)}
            >
              <ArrowRight size={15} />
            </IconButton>
            <SplitButton beat={beat} />
            <IconButton label="Duplicate this beat" onClick={copy}>
              <CopyPlus size={15} />
            </IconButton>
            <IconButton
              label="Remove this beat"
              disabled={score.beats.length === 1}
              onClick={remove}
            >
              <Trash2 size={15} />
            </IconButton>
            <IconButton label="Close the editor" onClick={() => select(null)}>
              <X size={16} />
            </IconButton>
          </span>
        </div>

        <div className="pb-3 text-[15px] font-semibold">
          <TextField
            label="What this beat does"
            placeholder="name this beat"
            registration={register('title')}
            error={errors.title?.message}
          />
        </div>
        <Part name="When">
          <CueFields fresh={fresh.cue} points={watched} marks={marks} units={units} />
          <p className="mt-1.5 text-quiet">
            given up after{' '}
            <NumberField
              label="Longest wait for the cue"
              unit="s"
              registration={register('within', { valueAsNumber: true })}
              error={errors.within?.message}
            />
          </p>
        </Part>
        <Part name="Do">
          <OrderRows name="orders" />
          <FieldError error={errors.orders?.message} />
        </Part>
        <Part name="Expect">
          <ExpectRows fresh={fresh.expect} points={watched} marks={marks} units={units} />
        </Part>
        <Part name="Way out, if not">
          <TextField
            label="Way out in words"
            placeholder="what is said"
            registration={register('note')}
            error={errors.note?.message}
          />
          <label className="my-1.5 flex items-center gap-2">
            <input type="checkbox" {...register('automatic')} className="size-4 accent-plan" />
            taken by itself when this beat does not go as expected
          </label>
          <OrderRows name="wayOrders" />
        </Part>
      </form>
    </FormProvider>
  );
}
