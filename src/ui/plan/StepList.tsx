'use client';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { useId } from 'react';
import type { Run } from '@/core/plan';
import type { StepDocument } from '@/document';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { cueText, ordersText } from '../words/steps';
import { expectationText } from './expectations';
import { clock, type Units } from '../words/units';
import { moveStep } from './edits';
import { END } from './layout';

/** The plan as a list to be read, for keyboard and small screens: dragged by its handles into another order. */
export function StepList({ run }: { run: Run | null }) {
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const edit = useWorkspace((s) => s.edit);
  const units = useUnits();
  const id = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const begun = new Map(run?.steps.map((mark) => [mark.step, mark.time]));
  const ids = plan.steps.map((step) => step.id);
  const drop = ({ active, over }: DragEndEvent) => {
    const by = over ? ids.indexOf(String(over.id)) - ids.indexOf(String(active.id)) : 0;
    if (by !== 0)
      edit((m) => {
        m.plan = moveStep(m.plan, String(active.id), by);
      });
  };
  const ended = run?.events.some((e) => e.is === 'end');
  return (
    <div
      className="absolute inset-0 overflow-y-auto pl-[132px] pr-5 max-md:static max-md:px-3 max-md:pb-3 max-md:pt-12"
      data-testid="step-list"
    >
      <DndContext id={id} sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol aria-label="Steps as a list">
            {plan.steps.map((step, i) => (
              <Row
                key={step.id}
                step={step}
                number={i + 1}
                time={begun.get(i) ?? null}
                units={units}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <EndRow
        text={`${cueText(plan.end.cue, units)}: the run ends`}
        time={ended && run ? run.duration : null}
      />
    </div>
  );
}

function Row({
  step,
  number,
  time,
  units,
}: {
  step: StepDocument;
  number: number;
  time: number | null;
  units: Units;
}) {
  const selected = useWorkspace((s) => s.selected);
  const select = useWorkspace((s) => s.select);
  const seek = usePlayhead((p) => p.seek);
  const {
    attributes,
    listeners,
    setNodeRef,
    setActivatorNodeRef,
    transform,
    transition,
    isDragging,
  } = useSortable({ id: step.id });
  const out =
    step.wayOut.note ||
    (step.wayOut.orders.length > 0 ? ordersText(step.wayOut.orders, units) : '');
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`rule-b flex items-start gap-2 bg-paper py-1.5 ${isDragging ? 'relative z-10 border border-plan' : ''}`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move step ${number}: space, then arrow keys`}
        className="flex size-6 shrink-0 cursor-grab touch-none items-center justify-center text-quiet hover:text-plan"
      >
        <GripVertical size={15} aria-hidden />
      </button>
      <span className="figures w-6 shrink-0 font-bold text-plan">{number}</span>
      <button
        type="button"
        aria-pressed={selected === step.id}
        onClick={() => {
          select(step.id);
          if (time !== null) seek(time);
        }}
        className={`min-w-0 flex-1 text-left hover:text-plan ${selected === step.id ? 'text-plan' : ''}`}
      >
        <span className="text-quiet">{cueText(step.cue, units)}: </span>
        <span className="font-semibold">{ordersText(step.orders, units)}</span>
        {step.title && <span> – {step.title}</span>}
        {step.expect.length > 0 && (
          <span className="block text-[12.5px] text-quiet">
            expect {step.expect.map((e) => expectationText(e, units)).join('; ')}
          </span>
        )}
        {out && <span className="block text-[12.5px] text-quiet">if not: {out}</span>}
      </button>
      <span className="figures shrink-0 text-quiet">
        {time === null ? 'not reached' : clock(time)}
      </span>
    </li>
  );
}

function EndRow({ text, time }: { text: string; time: number | null }) {
  const select = useWorkspace((s) => s.select);
  return (
    <button
      type="button"
      onClick={() => select(END)}
      className="flex w-full gap-2 py-1.5 pl-8 text-left hover:text-plan"
    >
      <span className="w-6 shrink-0 font-bold text-plan">‖</span>
      <span className="flex-1">{text}</span>
      <span className="figures text-quiet">{time === null ? 'not reached' : clock(time)}</span>
    </button>
  );
}
