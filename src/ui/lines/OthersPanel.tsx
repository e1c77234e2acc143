'use client';
import { OTHER_ABREAST_M } from '@/core/policy';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { MOST_OTHERS } from '@/core/simulation';
import { check, freshOther, othersSchema, placeOf, type Other } from '@/document';
import { FieldError } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import { BUTTON } from '../parts/Tries';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { BoatPicker } from '../workspace/BoatDialog';
import { tidy } from '../words/units';
import { otherRenamed, otherUsed } from './other-edits';
import { PlainNumber, PlainText } from './PlainFields';

/** Boats that lie about on lines of their own and give way: to raft up to, to lie between, to be leaned on. */
export function OthersPanel() {
  const store = useWorkspaceStore();
  const others = useWorkspace((s) => s.manoeuvre.others);
  const [picking, setPicking] = useState(false);
  const [said, setSaid] = useState<string | null>(null);

  const write = (next: readonly Other[]): string | null => {
    const result = check(othersSchema, next);
    if (!result.ok) return result.problems[0]!.message;
    store.getState().edit((m) => {
      m.others = result.value;
    });
    return null;
  };
  const change = (i: number, part: Partial<Other>) =>
    write(others.map((other, k) => (k === i ? { ...other, ...part } : other)));
  const turned = (i: number, part: Partial<Other['start']>) =>
    change(i, { start: { ...others[i]!.start, ...part } });

  return (
    <section aria-label="Other boats" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">Other boats</h2>
      {others.length === 0 && (
        <p className="pb-1 text-quiet">
          None that gives way. One added here lies on lines of its own and moves when it is leaned
          on.
        </p>
      )}
      {others.map(({ name, boat, start }, i) => (
        <div key={i} className="rule-t py-1.5">
          <div className="flex items-center gap-2">
            <PlainText
              label="Name of the other boat"
              value={name}
              onCommit={(to) => {
                const result = otherRenamed(store.getState().manoeuvre, i, to);
                if (!result.ok) return result.problems[0]!.message;
                store.getState().edit((m) => {
                  m.others = result.value.others;
                  m.plan = result.value.plan;
                  m.goal = result.value.goal;
                });
                return null;
              }}
            />
            <IconButton
              label={`Remove ${name}`}
              onClick={() => {
                const where = otherUsed(store.getState().manoeuvre, i);
                if (where) return setSaid(`${where} names ${name}; take that out first.`);
                setSaid(write(others.filter((_, k) => k !== i)));
              }}
            >
              <Trash2 size={14} />
            </IconButton>
          </div>
          <p className="text-[12.5px] text-quiet">
            {boat.kind}, {tidy(boat.hull.beam_m, 1)} m wide
          </p>
          <div className="flex flex-wrap items-baseline gap-x-2">
            <PlainNumber
              label={`${name}: east`}
              unit="m east"
              value={start.x_m}
              onCommit={(x_m) => turned(i, { x_m })}
            />
            <PlainNumber
              label={`${name}: north`}
              unit="m north"
              value={start.y_m}
              onCommit={(y_m) => turned(i, { y_m })}
            />
            <PlainNumber
              label={`${name}: heading`}
              unit="° heading"
              value={start.heading_deg}
              onCommit={(heading_deg) => turned(i, { heading_deg })}
            />
          </div>
        </div>
      ))}
      <p className="pt-1.5">
        <button
          type="button"
          className={BUTTON}
          disabled={others.length >= MOST_OTHERS}
          onClick={() => setPicking(true)}
        >
          Add a boat
        </button>
      </p>
      <FieldError error={said ?? undefined} />
      {picking && (
        <BoatPicker
          title="Add a boat"
          now={store.getState().boat.id}
          action="Add this boat"
          onChoose={(boat) => {
            const { manoeuvre, boat: own } = store.getState();
            const off = own.hull.beam_m / 2 + boat.hull.beam_m / 2 + OTHER_ABREAST_M;
            const { x, y } = placeOf(manoeuvre.start, 0, off);
            const at = {
              x_m: tidy(x, 2),
              y_m: tidy(y, 2),
              heading_deg: manoeuvre.start.heading_deg,
            };
            setSaid(write([...others, freshOther(boat, at, others)]));
          }}
          onClose={() => setPicking(false)}
        >
          The boat is put abreast of the start, to starboard; drag it where it lies. Its lines are
          rigged under Lines &amp; crew, with that name.
        </BoatPicker>
      )}
    </section>
  );
}
