'use client';
import { useState, type PointerEvent } from 'react';
import { lineEndsAtStart, namedPoints, placeOf } from '@/document';
import { MOST_LINES } from '@/core/simulation';
import { freshName } from '../lines/edits';
import { lieOf, stopsText } from '../lines/names';
import { useUnits } from '../state/preferences';
import { useWorkspace } from '../state/context';
import { distance } from '../words/units';
import { toScreen, type Camera, type View } from './camera';

/** More line than it has to go, as a share, so that it can be eased; to the half metre. */
const SPARE = 1.5;
/** Points a line leads from; the mast and the like are left out. */
const CLEATS = /cleat|fairlead|bitt|bow|stern|quarter/;

/** A dot is pressed as far off as this; where several overlap the nearest is meant, px. */
const REACH_PX = 14;

interface Dot {
  readonly name: string;
  readonly at: readonly [number, number];
}

/** Where the pointer is in the layer, px. */
function spot({ currentTarget, clientX, clientY }: PointerEvent<HTMLElement>) {
  const box = currentTarget.closest('[data-testid=rig]')!.getBoundingClientRect();
  return [clientX - box.left, clientY - box.top] as const;
}

function nearest(dots: readonly Dot[], [x, y]: readonly [number, number]): string | null {
  const off = ({ at }: Dot) => Math.hypot(at[0] - x, at[1] - y);
  const reached = dots.filter((dot) => off(dot) <= REACH_PX);
  return reached.length > 0 ? reached.reduce((a, b) => (off(b) < off(a) ? b : a)).name : null;
}

/**
 * Rigs lines on the water: a cleat aboard, as the boat lies at the start, then a bollard or pile; pressed one after the
 * other, or dragged from one to the other. What it would stop is said before it is let go.
 */
export function RigLayer({ camera, view }: { camera: Camera; view: View }) {
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const edit = useWorkspace((s) => s.edit);
  const units = useUnits();
  const [from, setFrom] = useState<string | null>(null);
  const [over, setOver] = useState<string | null>(null);
  const [pointer, setPointer] = useState<readonly [number, number] | null>(null);

  const cleats = namedPoints(boat)
    .filter(({ name }) => CLEATS.test(name))
    .map(({ name, x, y }) => {
      const at = placeOf(manoeuvre.start, x, y);
      return { name, at: toScreen(camera, view, at.x, at.y) };
    });
  const lineEnds = lineEndsAtStart({ place, others: manoeuvre.others }).filter(
    ({ name }) => !name.includes(': ') || CLEATS.test(name),
  );
  const ends = lineEnds.map(({ name, x, y }) => ({
    name,
    at: toScreen(camera, view, x, y),
  }));
  const lie = from && over ? lieOf(manoeuvre, boat, place, from, over) : null;

  const rig = (cleat: string, to: string) => {
    const found = lieOf(manoeuvre, boat, place, cleat, to);
    if (!found) return;
    edit((m) => {
      const { lines } = m.plan;
      if (lines.length >= MOST_LINES) return;
      m.plan = {
        ...m.plan,
        lines: [
          ...lines,
          {
            name: freshName(lines, found.name),
            from: cleat,
            length_m: Math.max(5, Math.ceil(2 * SPARE * found.lead.length) / 2),
            rope: 'polyester',
            strengthLeft: 0.6,
            doubled: false,
            fast: { to },
          },
        ],
      };
    });
    setFrom(null);
    setOver(null);
  };

  const move = (event: PointerEvent<HTMLDivElement>) => {
    if (!from) return;
    const at = spot(event);
    setPointer(at);
    setOver(nearest(ends, at));
  };
  const drop = (event: PointerEvent<HTMLDivElement>) => {
    const to = nearest(ends, spot(event));
    if (from && to) rig(from, to);
  };
  const begin = cleats.find(({ name }) => name === from)?.at;
  const target = ends.find(({ name }) => name === over)?.at ?? pointer;

  const dot = (on: boolean) =>
    `absolute flex size-6 -translate-1/2 touch-none items-center justify-center rounded-full border-2 border-plan ${on ? 'bg-plan' : 'bg-paper/70'} hover:bg-plan focus-visible:bg-plan`;
  return (
    <div
      role="application"
      aria-label="Rigging a line: a cleat aboard, then a bollard or a pile. Escape leaves off."
      tabIndex={-1}
      className="absolute inset-0 overflow-hidden"
      data-testid="rig"
      onPointerMove={move}
      onPointerUp={drop}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || !from) return;
        // The workspace would leave off rigging.
        event.stopPropagation();
        setFrom(null);
      }}
    >
      {begin && target && (
        <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden>
          <line
            x1={begin[0]}
            y1={begin[1]}
            x2={target[0]}
            y2={target[1]}
            className="stroke-plan"
            strokeWidth="2"
          />
        </svg>
      )}
      <p
        role="status"
        className="absolute left-1/2 top-3 -translate-x-1/2 border border-plan bg-paper px-3 py-1 text-[13px]"
      >
        {lie
          ? `${lie.name}: ${distance(lie.lead.length, units)}, ${stopsText(lie.stops)}`
          : from
            ? `From the ${from}: now a bollard or a pile. Esc chooses another cleat.`
            : 'Press a cleat aboard, or drag from it to a bollard. Esc when done.'}
      </p>
      {cleats.map(({ name, at: [x, y] }) => (
        <button
          key={name}
          type="button"
          aria-label={`From the ${name}`}
          title={name}
          aria-pressed={from === name}
          className={dot(from === name)}
          style={{ left: x, top: y }}
          onPointerDown={(event) => {
            event.currentTarget.releasePointerCapture(event.pointerId);
            setFrom(nearest(cleats, spot(event)) ?? name);
            setPointer(null);
          }}
          // A press has chosen it as the pointer came down.
          onClick={(event) => event.detail === 0 && setFrom(name)}
        >
          <span className="size-1.5 rounded-full bg-ink" />
        </button>
      ))}
      {from &&
        ends.map(({ name, at: [x, y] }) => (
          <button
            key={name}
            type="button"
            aria-label={`To ${name}`}
            title={name}
            className={dot(over === name).replace('rounded-full', '')}
            style={{ left: x, top: y }}
            onFocus={() => setOver(name)}
            // A press has rigged it as the pointer was lifted.
            onClick={(event) => event.detail === 0 && rig(from, name)}
          >
            <span className="size-1.5 bg-ink" />
          </button>
        ))}
    </div>
  );
}
