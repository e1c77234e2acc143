'use client';
import { useMemo } from 'react';
import type { Brief } from '@/core/brief';
import { berthOf, namedPoints, toFile } from '@/document';
import { stoppingSpring } from '@/planner';
import { useSubject } from '../hooks/use-subject';
import { useWorkspace } from '../state/context';
import { usePreferences } from '../state/preferences';
import { clock, type Units } from '../words/units';
import {
  aloneStatement,
  angleStatement,
  burstWays,
  crewStatements,
  fenderStatement,
  handsStatements,
  lineWays,
  sideStatement,
  springStatement,
  stepStatement,
  stepWays,
  type SchoolWay,
} from '../words/what-to-do';
import { StatementList } from './StatementList';

/** What to do: side, angle, lines, fenders and people; where schools differ, each with what it does here. */
export function WhatToDo({ brief, units }: { brief: Brief; units: Units }) {
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const schools = usePreferences((p) => p.schools);
  const setSchool = usePreferences((p) => p.setSchool);
  const throttle = usePreferences((p) => p.handling.throttle);
  const setHandling = usePreferences((p) => p.setHandling);
  const berth = useMemo(() => berthOf(toFile(manoeuvre, boat, place)), [manoeuvre, boat, place]);
  const { goal } = manoeuvre;
  const subject = useSubject();
  const spring = useMemo(() => stoppingSpring(subject), [subject]);
  const coming = goal.is === 'lie';
  const named = coming ? namedPoints(boat).find(({ name }) => name === goal.point) : undefined;
  const across = named?.y ?? 0;
  const side = across === 0 ? null : across < 0 ? 'port' : 'starboard';
  const lines = lineWays(brief, units);
  const line = schools.firstLine ?? lines[0]?.value ?? null;
  const statements = [
    side ? sideStatement(brief, side, units) : null,
    angleStatement(brief),
    fenderStatement(boat, berth, side ?? 'the berth', units),
    coming ? springStatement(spring, units) : null,
    aloneStatement(boat, manoeuvre.plan),
    ...handsStatements(manoeuvre.plan, units),
    stepStatement(brief, schools.step ?? null, units),
    ...(manoeuvre.berth.length > 0 ? crewStatements(brief, line, coming, units) : []),
  ].filter((statement) => statement !== null);
  return (
    <>
      <StatementList list={statements} />
      <School
        name={coming ? 'Which line first' : 'Which line last'}
        ways={lines}
        bestBy="holds the boat best"
        picked={schools.firstLine}
        onPick={(value) => setSchool('firstLine', value)}
      />
      <School
        name="How to stop"
        ways={burstWays(brief, units)}
        picked={throttle}
        onPick={(value) => setHandling('throttle', value)}
      />
      <School
        name="Where to step"
        ways={stepWays(brief, units)}
        how={`as the boat lies at ${clock(brief.stepping?.time ?? 0)}`}
        bestBy="nearest"
        // What an older page kept may lack it.
        picked={schools.step ?? null}
        onPick={(value) => setSchool('step', value)}
      />
    </>
  );
}

interface SchoolProps<T extends string> {
  readonly name: string;
  readonly how?: string;
  /** What the best of them is best by. */
  readonly bestBy?: string;
  readonly ways: readonly SchoolWay<T>[];
  /** The one picked; null while none is. */
  readonly picked: T | null;
  readonly onPick: (value: T) => void;
}

/** Ways that schools teach, side by side. */
function School<T extends string>({
  name,
  how = 'tried one by one',
  bestBy = 'best',
  ways,
  picked,
  onPick,
}: SchoolProps<T>) {
  if (ways.length === 0) return null;
  return (
    <fieldset className="rule-t py-1.5">
      <legend className="sr-only">{name}</legend>
      <p aria-hidden className="text-[13px] text-quiet">
        {name}: schools differ; here, {how}
      </p>
      {ways.map(({ value, text, finding, best }) => (
        <label key={value} className="flex cursor-pointer items-start gap-2 py-0.5">
          <input
            type="radio"
            name={name}
            className="mt-0.5 size-4 shrink-0 accent-plan"
            checked={picked === null ? best : picked === value}
            onChange={() => onPick(value)}
          />
          <span>
            {text}
            <span className="block text-[12.5px] text-quiet">
              {finding}
              {best ? `; ${bestBy}` : ''}
            </span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}
