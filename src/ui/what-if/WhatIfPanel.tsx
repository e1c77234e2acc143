'use client';
import { useEffect, useState } from 'react';
import { NO_VARIATION, type VariationDocument } from '@/document';
import type { RunState } from '../hooks/use-run';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { useUnits } from '../state/preferences';
import { runExtent } from '../water/extent';
import { boatSpeed, compassPoint, windSpeed } from '../words/units';
import { DifferenceList } from './DifferenceList';
import { GridSheet } from './GridSheet';
import { RoseSection } from './RoseSection';
import { VaryRow } from './VaryRow';
import { Tick } from '../parts/Tick';

const button =
  'min-h-9 border border-ink px-3 font-semibold hover:border-plan hover:text-plan disabled:border-hairline disabled:text-quiet';

/** Anything made otherwise, held against the run as it was: both on the water, the difference in words and figures. */
export function WhatIfPanel({ state }: { state: RunState }) {
  const store = useWorkspaceStore();
  const variation = useWorkspace((s) => s.variation);
  const reference = useWorkspace((s) => s.reference);
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const { conditions, start } = manoeuvre;
  const units = useUnits();
  const [sheet, setSheet] = useState(false);
  const { run, file } = state;
  const hold = () => run && store.getState().setReference({ run, file, kept: true });

  // Whatever is made otherwise first has to be held against something: the run as it is written.
  useEffect(() => {
    const { reference: held, variation: now, setReference } = store.getState();
    if (!held && run && now === NO_VARIATION) setReference({ run, file, kept: false });
  }, [store, run, file]);

  const change = (part: Partial<VariationDocument>) =>
    store.getState().setVariation({ ...store.getState().variation, ...part });
  const wind = conditions.wind.speed_mps * variation.windTimes;
  const from = (conditions.wind.from_deg + variation.windVeer_deg + 360) % 360;
  const signed = (value: number, text: string) => `${value < 0 ? '−' : '+'}${text}`;
  return (
    <div data-testid="what-if">
      <div className="flex flex-wrap items-center gap-2 pb-3">
        <button type="button" className={button} disabled={!run} onClick={hold}>
          Compare with this run
        </button>
        <button
          type="button"
          className={button}
          disabled={variation === NO_VARIATION}
          onClick={() => store.getState().setVariation(NO_VARIATION)}
        >
          As written
        </button>
        <button
          type="button"
          className={button}
          disabled={!reference}
          onClick={() => store.getState().setReference(null)}
        >
          Let go
        </button>
      </div>
      {run && reference && run !== reference.run ? (
        <section aria-label="Compared with the run held" aria-live="polite" className="pb-3">
          <h2 className="pb-1 text-[15px] font-semibold">Compared with the run held</h2>
          <DifferenceList held={reference.run} now={run} />
        </section>
      ) : (
        <p className="pb-3 text-[13px] text-quiet">
          The run held is drawn in dashes. Change anything, here, on the water or in the plan, and
          the difference is said. Nothing on these sliders is saved.
        </p>
      )}
      <section aria-label="What is otherwise">
        <VaryRow
          name="Wind"
          text={windSpeed(wind, units)}
          value={variation.windTimes}
          least={0}
          most={2.5}
          step={0.05}
          neutral={1}
          onChange={(windTimes) => change({ windTimes })}
        />
        <VaryRow
          name="Wind from"
          text={`${String(Math.round(from) % 360).padStart(3, '0')}° ${compassPoint(from)}`}
          value={variation.windVeer_deg}
          least={-180}
          most={180}
          step={5}
          neutral={0}
          onChange={(windVeer_deg) => change({ windVeer_deg })}
        />
        <VaryRow
          name="Gusts"
          text={
            variation.gusts === null ? 'as they are' : `± ${Math.round(100 * variation.gusts)} %`
          }
          value={variation.gusts ?? conditions.wind.gusts?.intensity ?? 0}
          least={0}
          most={0.5}
          step={0.05}
          neutral={conditions.wind.gusts?.intensity ?? 0}
          onChange={(gusts) => change({ gusts })}
        />
        <VaryRow
          name="Current"
          text={boatSpeed(conditions.current.speed_mps + variation.currentBy_mps, units)}
          value={variation.currentBy_mps}
          least={-1}
          most={1}
          step={0.05}
          neutral={0}
          onChange={(currentBy_mps) => change({ currentBy_mps })}
        />
        <VaryRow
          name="Way on at the start"
          text={boatSpeed(start.speed_mps + variation.entryBy_mps, units)}
          value={variation.entryBy_mps}
          least={-1}
          most={1}
          step={0.05}
          neutral={0}
          onChange={(entryBy_mps) => change({ entryBy_mps })}
        />
        <VaryRow
          name="Crew late by"
          text={`${variation.late_s.toFixed(1)} s`}
          value={variation.late_s}
          least={0}
          most={8}
          step={0.5}
          neutral={0}
          onChange={(late_s) => change({ late_s })}
        />
        <VaryRow
          name="Astern"
          text={
            variation.asternTimes === 1
              ? 'as strong as the boat has'
              : signed(
                  variation.asternTimes - 1,
                  `${Math.abs(Math.round(100 * (variation.asternTimes - 1)))} %`,
                )
          }
          value={variation.asternTimes}
          least={0}
          most={1.5}
          step={0.05}
          neutral={1}
          onChange={(asternTimes) => change({ asternTimes })}
        />
        {manoeuvre.locks.length > 0 && (
          <VaryRow
            name="Push of a lock’s water"
            text={
              variation.waterTimes === 1
                ? 'as estimated'
                : `${Math.round(100 * variation.waterTimes)} % of it`
            }
            value={variation.waterTimes}
            least={0}
            most={2}
            step={0.1}
            neutral={1}
            onChange={(waterTimes) => change({ waterTimes })}
          />
        )}
        <Tick
          className="rule-t min-h-10 py-2"
          checked={variation.otherHand}
          onChange={(otherHand) => change({ otherHand })}
        >
          propellers of the other hand
        </Tick>
        <Tick
          className="rule-t min-h-10 py-2"
          checked={variation.otherSide}
          onChange={(otherSide) => change({ otherSide })}
        >
          wind from the other side of the berth
        </Tick>
      </section>
      <div className="rule-t pt-3">
        <button type="button" className={button} disabled={!run} onClick={() => setSheet(true)}>
          A sheet of winds …
        </button>
      </div>
      <div className="pt-3">
        <RoseSection file={file} variation={variation} />
      </div>
      {sheet && (
        <GridSheet
          file={file}
          variation={variation}
          frame={runExtent(manoeuvre, file.boat, file.place, run)}
          onClose={() => setSheet(false)}
        />
      )}
    </div>
  );
}
