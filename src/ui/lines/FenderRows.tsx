'use client';
import { Trash2 } from 'lucide-react';
import type { Result, PlanDocument } from '@/document';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { IconButton } from '../parts/IconButton';
import { withFender, type Fender } from './edits';
import { PlainNumber, PlainText } from './PlainFields';

const SIDES: readonly ChoiceOption<Fender['side']>[] = [
  { value: 'port', text: 'port' },
  { value: 'starboard', text: 'starboard' },
];

type Write = (next: (plan: PlanDocument) => Result<PlanDocument>) => string | null;

/** Fenders hung for this manoeuvre, besides those the boat always has out. */
export function FenderRows({ fenders, write }: { fenders: PlanDocument['fenders']; write: Write }) {
  return fenders.map((fender, i) => {
    const change = (next: Fender | null) => write((plan) => withFender(plan, i, next));
    return (
      <div key={i} className="rule-t py-1.5">
        <div className="flex items-center gap-2">
          <PlainText
            label="Name of the fender"
            value={fender.name}
            onCommit={(name) => change({ ...fender, name })}
          />
          <IconButton label={`Remove the ${fender.name}`} onClick={() => change(null)}>
            <Trash2 size={14} />
          </IconButton>
        </div>
        <div className="flex flex-wrap items-baseline gap-x-2">
          <Choice
            label={`${fender.name}: side`}
            value={fender.side}
            options={SIDES}
            onChange={(side) => change({ ...fender, side })}
          />
          <PlainNumber
            label={`${fender.name}: forward of midships`}
            unit="m forward"
            value={fender.x_m}
            onCommit={(x_m) => change({ ...fender, x_m })}
          />
          <PlainNumber
            label={`${fender.name}: diameter`}
            unit="m thick"
            value={fender.diameter_m}
            onCommit={(diameter_m) => change({ ...fender, diameter_m })}
          />
          <PlainNumber
            label={`${fender.name}: height of its middle over the water, 0 for that of what the boat meets`}
            unit="m up, 0 as it is met"
            value={fender.height_m ?? 0}
            onCommit={(height_m) => {
              const { height_m: _height, ...asMet } = fender;
              return change(height_m > 0 ? { ...fender, height_m } : asMet);
            }}
          />
        </div>
      </div>
    );
  });
}
