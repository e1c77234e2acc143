'use client';
import { Minus } from 'lucide-react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import type { ChoiceOption } from '../parts/Choice';
import { TextField } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import type { Boat } from '@/document';
import { useWorkspace } from '../state/context';
import type { StepForm } from './step-form';
import { ALL_ENGINES, freshOrder, type OrderRow } from './order-rows';
import { names, SIDES } from './CueFields';
import { HandsFields } from './HandsFields';
import { LockOrderFields } from './LockOrderFields';
import { OtherFields } from './OtherFields';
import { RowChoice, RowMark, RowNumber } from './RowFields';
import { useNames } from './use-names';

const ENDS: readonly ChoiceOption<'bow' | 'stern'>[] = [
  { value: 'bow', text: 'her bow' },
  { value: 'stern', text: 'her stern' },
];
const GEARS: readonly ChoiceOption<OrderRow['gear']>[] = [
  { value: 'ahead', text: 'ahead' },
  { value: 'neutral', text: 'neutral' },
  { value: 'astern', text: 'astern' },
];

/** Orders this boat can be given, as the words that add one. */
function additions(
  boat: Boat,
  lines: boolean,
  anchors: boolean,
  crew: boolean,
  locks: boolean,
  others: boolean,
): { kind: OrderRow['do']; text: string }[] {
  return [
    { kind: 'wheel', text: boat.steering.control },
    { kind: 'steer', text: 'steer a heading' },
    { kind: 'steerFor', text: 'steer for a mark' },
    ...(boat.drives.length > 0 ? [{ kind: 'engine' as const, text: 'engine' }] : []),
    ...(boat.thrusters.length > 0 ? [{ kind: 'thruster' as const, text: 'thruster' }] : []),
    ...(boat.joystick ? [{ kind: 'joystick' as const, text: 'joystick' }] : []),
    { kind: 'call', text: 'call' },
    ...(lines
      ? [
          { kind: 'pass' as const, text: 'pass a line' },
          { kind: 'tend' as const, text: 'tend a line' },
          { kind: 'letGo' as const, text: 'let go' },
        ]
      : []),
    ...(anchors ? [{ kind: 'anchor' as const, text: 'anchor' }] : []),
    ...(locks
      ? [
          { kind: 'paddle' as const, text: 'a paddle' },
          { kind: 'gates' as const, text: 'gates' },
          { kind: 'signal' as const, text: 'sign to wind' },
        ]
      : []),
    ...(others ? [{ kind: 'other' as const, text: 'another boat' }] : []),
    ...(crew
      ? [
          { kind: 'stepAshore' as const, text: 'step ashore' },
          { kind: 'stepAboard' as const, text: 'step aboard' },
          { kind: 'go' as const, text: 'go to' },
        ]
      : []),
  ];
}

const named = (things: readonly { name: string }[]): ChoiceOption<string>[] =>
  things.map(({ name }) => ({ value: name, text: name }));

/** What the helm and the voices do, in order, each some seconds after the cue. */
export function OrderRows({ name }: { name: 'orders' | 'wayOrders' }) {
  const { control } = useFormContext<StepForm>();
  const boat = useWorkspace((s) => s.boat);
  const { marks, points, ends, ropes, anchors, crew, locks, others } = useNames();
  const { fields, append, remove } = useFieldArray({ control, name });
  return (
    <div>
      {fields.length > 0 && (
        <p className="text-[12px] text-quiet">seconds after the cue, then what</p>
      )}
      {fields.map((field, i) => (
        <div key={field.id} className="flex items-start gap-1 py-0.5">
          <OrderFields name={name} index={i} />
          <IconButton label={`Remove order ${i + 1}`} onClick={() => remove(i)}>
            <Minus size={15} />
          </IconButton>
        </div>
      ))}
      <p className="flex flex-wrap items-center gap-x-3 text-quiet">
        add
        {additions(
          boat,
          ropes.length > 0,
          anchors.length > 0,
          crew.length > 0,
          locks.length > 0,
          others.length > 0,
        ).map(({ kind, text }) => (
          <button
            key={kind}
            type="button"
            className="min-h-7 text-plan underline decoration-1 underline-offset-3"
            onClick={() =>
              append({
                ...freshOrder(kind),
                thruster: boat.thrusters[0]?.name ?? '',
                mark: marks[0] ?? '',
                line: (kind === 'anchor' ? anchors : ropes)[0] ?? '',
                end: ends[0] ?? '',
                point: points[0] ?? '',
                boat: others[0] ?? '',
                lock: locks[0]?.name ?? '',
                paddle: locks[0]?.paddles[0] ?? '',
                ...(kind === 'stepAshore' || kind === 'stepAboard' || kind === 'go'
                  ? { by: crew[0] ?? '' }
                  : {}),
              })
            }
          >
            {text}
          </button>
        ))}
      </p>
    </div>
  );
}

function OrderFields({ name, index }: { name: 'orders' | 'wayOrders'; index: number }) {
  const { control, register, formState } = useFormContext<StepForm>();
  const boat = useWorkspace((s) => s.boat);
  const { marks } = useNames();
  const at = `${name}.${index}` as const;
  const row = useWatch({ control, name: at });
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-1.5 gap-y-1">
      <RowNumber name={`${at}.after`} label="Seconds after the cue" unit="s" width={42} />
      {row.do === 'wheel' && (
        <>
          <span className="font-semibold">Wheel</span>
          <RowNumber name={`${at}.angle`} label="Rudder angle" unit="°" width={46} />
          <RowChoice name={`${at}.side`} label="Wheel to" options={SIDES} />
        </>
      )}
      {row.do === 'steer' && (
        <>
          <span className="font-semibold">Steer</span>
          <RowNumber name={`${at}.heading`} label="Heading to steer" unit="°" width={46} />
        </>
      )}
      {row.do === 'steerFor' && (
        <>
          <span className="font-semibold">Steer</span>
          <RowChoice name={`${at}.first`} label="Which end first" options={ENDS} />
          <span>for</span>
          <RowMark name={`${at}.mark`} label="Mark to steer for" options={names(marks)} />
        </>
      )}
      {row.do === 'engine' && (
        <>
          <span className="font-semibold">Engine</span>
          {boat.drives.length > 1 && (
            <RowChoice
              name={`${at}.engine`}
              label="Which engine"
              options={[{ value: ALL_ENGINES, text: 'all' }, ...named(boat.drives)]}
            />
          )}
          <RowChoice name={`${at}.gear`} label="Gear" options={GEARS} />
          {row.gear !== 'neutral' && (
            <RowNumber name={`${at}.throttle`} label="Throttle above idle" unit="%" width={46} />
          )}
        </>
      )}
      {row.do === 'thruster' && (
        <>
          <span className="font-semibold">Thruster</span>
          <RowChoice
            name={`${at}.thruster`}
            label="Which thruster"
            options={named(boat.thrusters)}
          />
          <RowChoice name={`${at}.side`} label="Pushing to" options={SIDES} />
          <RowNumber name={`${at}.power`} label="Power" unit="%" width={46} />
        </>
      )}
      {row.do === 'joystick' && (
        <>
          <span className="font-semibold">Joystick</span>
          <RowNumber
            name={`${at}.ahead`}
            label="Ahead, astern negative"
            unit="% ahead"
            width={46}
          />
          <RowNumber
            name={`${at}.sideways`}
            label="To starboard, port negative"
            unit="% to starboard"
            width={46}
          />
          <RowNumber
            name={`${at}.twist`}
            label="Bow to starboard, port negative"
            unit="% bow to starboard"
            width={46}
          />
        </>
      )}
      {row.do === 'other' && (
        <>
          <span className="font-semibold">Other boat</span>
          <OtherFields at={at} row={row} gears={GEARS} />
        </>
      )}
      <HandsFields at={at} row={row} />
      <LockOrderFields at={at} row={row} />
      {row.do === 'call' && (
        <>
          <span className="font-semibold">Call</span>
          <TextField
            label="What is called"
            registration={register(`${at}.text`)}
            error={formState.errors[name]?.[index]?.text?.message}
          />
        </>
      )}
    </div>
  );
}
