'use client';
import { Trash2 } from 'lucide-react';
import { BOTTOMS, type Bottom, type Rope } from '@/core/holding';
import {
  anchorMassOf,
  boatOfLine,
  diameterOf,
  namedPoints,
  type Boat,
  type LineDocument,
} from '@/document';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { IconButton } from '../parts/IconButton';
import { useNames } from '../plan/use-names';
import { useWorkspace } from '../state/context';
import { useUnits } from '../state/preferences';
import { distance } from '../words/units';
import { lieOf, stopsText } from './names';
import { PlainNumber, PlainText } from './PlainFields';
import { Tick } from '../parts/Tick';

const ROPE_TEXT: readonly ChoiceOption<Rope>[] = [
  { value: 'polyester', text: 'polyester' },
  { value: 'polyamide', text: 'polyamide' },
  { value: 'hmpe', text: 'HMPE' },
];
const BOTTOM_TEXT: readonly ChoiceOption<Bottom>[] = BOTTOMS.map((value) => ({
  value,
  text: value === 'weed' ? 'weed over sand' : value,
}));
/** Stand for a line that is not on anything yet, and for the boat's own. */
const ABOARD = ' aboard';
const HERS = ' hers';

type Change = (next: LineDocument) => string | null;

/** A line of the plan, or an anchor on its chain: where from, what it is on as it begins, and what it is made of. */
export function LineRow({
  line,
  onChange,
  onRemove,
}: {
  line: LineDocument;
  onChange: Change;
  onRemove: () => void;
}) {
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const units = useUnits();
  const { ends, marks } = useNames();
  const { others } = manoeuvre;
  const { fast, ...rest } = line;
  const own = boatOfLine(line, { boat, others });
  const points = namedPoints(own).map(({ name }) => ({ value: name, text: name }));
  const lie = fast ? lieOf(manoeuvre, boat, place, line.from, fast.to, line.of) : null;
  const targets = line.anchor
    ? marks.map((value) => ({ value, text: `down at ${value}` }))
    : ends
        .filter((end) => line.of === undefined || !end.startsWith(`${line.of}: `))
        .map((value) => ({ value, text: `fast to ${value}` }));
  return (
    <div className="rule-t py-1.5">
      <div className="flex items-center gap-2">
        <PlainText
          label="Name of the line"
          value={line.name}
          onCommit={(name) => onChange({ ...line, name })}
        />
        <IconButton label={`Take out the ${line.name}`} onClick={onRemove}>
          <Trash2 size={14} />
        </IconButton>
      </div>
      <div className="flex flex-wrap items-baseline gap-x-1.5">
        {others.length > 0 && (
          <Choice
            label={`${line.name}: of which boat`}
            value={line.of ?? HERS}
            options={[
              { value: HERS, text: 'its own' },
              ...others.map(({ name }) => ({ value: name, text: `of ${name}` })),
            ]}
            onChange={(of) => {
              const { of: _of, ledTo: _led, ...hers } = rest;
              const next = boatOfLine(of === HERS ? {} : { of }, { boat, others });
              const known = namedPoints(next);
              const from = known.find(({ name }) => name === line.from) ?? known[0]!;
              onChange({ ...hers, from: from.name, ...(of === HERS ? {} : { of }) });
            }}
          />
        )}
        <span className="text-quiet">from the</span>
        <Choice
          label={`${line.name}: from`}
          value={line.from}
          options={points}
          onChange={(from) => onChange({ ...line, from })}
        />
        <Choice
          label={`${line.name}: at the start`}
          value={fast?.to ?? ABOARD}
          options={[{ value: ABOARD, text: 'aboard at the start' }, ...targets]}
          onChange={(to) => onChange(to === ABOARD ? rest : { ...rest, fast: { to } })}
        />
      </div>
      {lie && (
        <p className="text-[12.5px] text-quiet">
          {distance(lie.lead.length, units)} to go, {stopsText(lie.stops)}
        </p>
      )}
      <details>
        <summary className="cursor-pointer text-[12.5px] text-quiet hover:text-plan">
          {madeOf(line, own)}
        </summary>
        <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 py-1">
          {line.anchor ? (
            <AnchorFields line={line} anchor={line.anchor} boat={own} onChange={onChange} />
          ) : (
            <Choice
              label={`${line.name}: rope`}
              value={line.rope}
              options={ROPE_TEXT}
              onChange={(rope) => onChange({ ...line, rope })}
            />
          )}
          <PlainNumber
            label={`${line.name}: diameter`}
            unit={line.anchor ? 'mm chain' : 'mm'}
            value={diameterOf(line, own.hull.mass_kg)}
            onCommit={(diameter_mm) => onChange({ ...line, diameter_mm })}
          />
          <PlainNumber
            label={`${line.name}: all there is of it`}
            unit="m long"
            value={line.length_m}
            onCommit={(length_m) => onChange({ ...line, length_m })}
          />
          <PlainNumber
            label={`${line.name}: strength left`}
            unit="% of its strength left"
            value={Math.round(line.strengthLeft * 100)}
            onCommit={(share) => onChange({ ...line, strengthLeft: share / 100 })}
          />
          {fast && (
            <PlainNumber
              label={`${line.name}: out at the start, 0 for just slack`}
              unit="m out at the start, 0 for just slack"
              value={fast.length_m ?? 0}
              onCommit={(length_m) =>
                onChange({ ...rest, fast: { to: fast.to, ...(length_m > 0 ? { length_m } : {}) } })
              }
            />
          )}
          <Choice
            label={`${line.name}: handled at`}
            value={line.ledTo ?? line.from}
            options={points.map(({ value }) => ({ value, text: `handled at the ${value}` }))}
            onChange={(to) => {
              const { ledTo: _led, ...here } = line;
              onChange(to === line.from ? here : { ...line, ledTo: to });
            }}
          />
          {!line.anchor && (
            <Tick
              className="min-h-7"
              checked={line.doubled}
              onChange={(doubled) => onChange({ ...line, doubled })}
            >
              doubled, let go from aboard
            </Tick>
          )}
        </div>
      </details>
    </div>
  );
}

function madeOf(line: LineDocument, own: Boat): string {
  const size = `${diameterOf(line, own.hull.mass_kg)} mm`;
  if (line.anchor)
    return `${anchorMassOf(line.anchor, own.hull.mass_kg)} kg anchor on ${size} chain, ${line.length_m} m of it`;
  const rope = ROPE_TEXT.find(({ value }) => value === line.rope)!.text;
  return `${line.doubled ? 'doubled, ' : ''}${rope} ${size}, ${line.length_m} m of it`;
}

function AnchorFields({
  line,
  anchor,
  boat,
  onChange,
}: {
  line: LineDocument;
  anchor: NonNullable<LineDocument['anchor']>;
  boat: Boat;
  onChange: Change;
}) {
  const write = (part: Partial<typeof anchor>) =>
    onChange({ ...line, anchor: { ...anchor, ...part } });
  return (
    <>
      <PlainNumber
        label={`${line.name}: weight of the anchor`}
        unit="kg anchor"
        value={anchorMassOf(anchor, boat.hull.mass_kg)}
        onCommit={(mass_kg) => write({ mass_kg })}
      />
      <PlainNumber
        label={`${line.name}: depth where it lies`}
        unit="m deep"
        value={anchor.depth_m}
        onCommit={(depth_m) => write({ depth_m })}
      />
      <Choice
        label={`${line.name}: bottom`}
        value={anchor.bottom}
        options={BOTTOM_TEXT}
        onChange={(bottom) => write({ bottom })}
      />
      <PlainNumber
        label={`${line.name}: pull of the windlass, 0 by hand`}
        unit="N windlass, 0 by hand"
        value={line.winch_N ?? 0}
        onCommit={(pull) => {
          const { winch_N: _winch, ...byHand } = line;
          return onChange(pull > 0 ? { ...line, winch_N: pull } : byHand);
        }}
      />
    </>
  );
}
