'use client';
import { useState } from 'react';
import { isDoneBy, type TendHow } from '@/core/plan';
import type { OrderDocument } from '@/document';
import { linesAt } from '../lines/line-at';
import { Choice } from '../parts/Choice';
import { CALL } from './call-style';
import { LockCalls } from './LockCalls';
import { PeopleCalls } from './PeopleCalls';
import { useHelmPreferences } from './preferences';
import { useCrewByPlan } from './use-crew-by-plan';
import { useNames } from '../plan/use-names';
import { useWorkspace } from '../state/context';
import { toldText } from '../plan/orders';
import { useUnits } from '../state/preferences';
import { useLive, useLiveState } from './use-live';

/** Orders to the crew: those the plan has next, and for every line what can be done with it as it is. */
export function CrewOrders() {
  useCrewByPlan();
  const { lines, crew, steps } = useWorkspace((s) => s.manoeuvre.plan);
  const byPlan = useHelmPreferences((p) => p.crewByPlan);
  const setByPlan = useHelmPreferences((p) => p.setCrewByPlan);
  const locks = useWorkspace((s) => s.manoeuvre.locks);
  if (lines.length === 0 && crew.length === 0 && locks.length === 0) return null;
  return (
    <section aria-label="Crew" className="rule-t flex flex-col gap-1.5 py-2.5">
      <p className="font-semibold">Call to the crew</p>
      {steps.some(({ orders }) => orders.some((order) => isDoneBy(order, 'crew'))) && (
        <label className="flex min-h-8 items-center gap-2 text-[13px]">
          <input
            type="checkbox"
            className="min-h-0"
            checked={byPlan}
            onChange={(event) => setByPlan(event.target.checked)}
          />
          the crew goes by the plan
        </label>
      )}
      <FromPlan />
      <PeopleCalls />
      <LockCalls />
      {lines.map((line, index) =>
        // Another boat's crew sees to its lines; in a lock one has to ask it to.
        line.of === undefined || locks.length > 0 ? (
          <LineCalls key={line.name} index={index} />
        ) : null,
      )}
    </section>
  );
}

/** What the plan has the crew do at the step come to and at the next one. */
function FromPlan() {
  const live = useLive();
  const units = useUnits();
  const steps = useWorkspace((s) => s.manoeuvre.plan.steps);
  const step = useLiveState((s) => s.now?.step ?? -1);
  const orders = [steps[step], steps[step + 1]].flatMap((one) =>
    (one?.orders ?? []).flatMap((order) =>
      isDoneBy(order, 'crew') ? [{ order, id: one!.id }] : [],
    ),
  );
  if (orders.length === 0) return null;
  return (
    <div className="flex flex-wrap gap-1" role="group" aria-label="As the plan has it">
      {orders.map(({ order, id }, i) => (
        <button
          key={`${id}-${i}`}
          type="button"
          className={`${CALL} border-plan`}
          onClick={() => live.say({ ...order, after_s: 0 })}
        >
          {toldText(order, units)}
        </button>
      ))}
    </div>
  );
}

/** One line: what is made of it now, and what may be called for. */
function LineCalls({ index }: { index: number }) {
  const live = useLive();
  const { lines, crew, steps } = useWorkspace((s) => s.manoeuvre.plan);
  const { ends } = useNames();
  const place = useWorkspace((s) => s.place);
  const line = lines[index]!;
  const recent = useLiveState((s) => s.recent);
  const time = useLiveState((s) => s.now?.time ?? 0);
  const known = recent ? linesAt(recent, lines, time).find((at) => at.index === index) : undefined;
  const state = known?.state ?? 'aboard';
  // Where the plan takes it, if it does: else the first thing there is.
  const passed = steps
    .flatMap(({ orders }) => orders)
    .find((order) => order.do === 'pass' && order.line === line.name);
  const [to, setTo] = useState((passed?.do === 'pass' && passed.to) || ends[0] || '');
  const [who, setWho] = useState((passed?.do === 'pass' && passed.by) || crew[0]?.name || '');
  const isGroundLine = place.features.some(
    ({ kind, name }) => kind === 'groundLine' && name === to,
  );
  const theirs = line.of !== undefined;
  const by = crew.length > 0 && !theirs ? { by: who } : {};
  const call = (text: string, order: OrderDocument) => (
    <button key={text} type="button" className={CALL} onClick={() => live.say(order)}>
      {text}
    </button>
  );
  const base = { line: line.name, after_s: 0, ...by } as const;
  const tend = (text: string, how: TendHow, length_m?: number) =>
    call(text, {
      do: 'tend',
      ...base,
      how,
      turns: 1.5,
      winch: false,
      ...(length_m === undefined ? {} : { length_m }),
    });
  const on = state === 'on' || state === 'fast';
  return (
    <div className="rule-t pt-1" role="group" aria-label={line.name}>
      <p className="flex flex-wrap items-baseline gap-x-2 text-[13px]">
        <span className="font-semibold">{line.name}</span>
        <span className="text-quiet">
          {state}
          {on && known ? `, ${known.length.toFixed(1)} m` : ''}
        </span>
        {crew.length > 1 && !theirs && (
          <Choice
            label={`Who sees to ${line.name}`}
            value={who}
            options={crew.map(({ name }) => ({ value: name, text: name }))}
            onChange={setWho}
          />
        )}
        {state === 'aboard' && !line.anchor && !theirs && ends.length > 0 && (
          <Choice
            label={`Where ${line.name} goes`}
            value={to}
            options={ends.map((name) => ({ value: name, text: `to ${name}` }))}
            onChange={setTo}
          />
        )}
      </p>
      <div className="flex flex-wrap gap-1 pt-1">
        {state === 'aboard' &&
          !theirs &&
          (line.anchor
            ? [call('Drop it', { do: 'anchor', ...base, how: 'drop' })]
            : isGroundLine
              ? call('Pick up', { do: 'pass', ...base, to, how: 'drop' })
              : to !== '' && [
                  call('Drop over', { do: 'pass', ...base, to, how: 'drop' }),
                  call('Throw', { do: 'pass', ...base, to, how: 'throw' }),
                  ...(crew.length > 0 && !line.doubled
                    ? [call('Take it ashore', { do: 'pass', ...base, to, how: 'carry' })]
                    : []),
                ])}
        {on && (
          <>
            {line.anchor ? (
              call('Weigh', { do: 'anchor', ...base, how: 'weigh' })
            ) : (
              <>
                {tend('Haul in', 'haul')}
                {tend('Hold', 'hold')}
                {tend('On turns', 'turn')}
                {tend('Keep snug', 'keep')}
              </>
            )}
            {tend('Make fast', 'fast')}
            {tend('Ease 1 m', 'ease', 1)}
            {!line.anchor && call('Let go', { do: 'letGo', ...base })}
          </>
        )}
      </div>
    </div>
  );
}
