'use client';
import { useState } from 'react';
import {
  check,
  definitionOf,
  placeSchema,
  type AreaKind,
  type Feature,
  type FeatureKind,
  type Place,
} from '@/document';
import { Choice } from '../parts/Choice';
import { viewOfArea } from './areas';
import type { AreaFieldsProps } from './areas/view';
import { BerthFields } from './BerthFields';
import { BollardDistances } from './BollardDistances';
import { surfaceOptions } from './surfaces';
import { isArea, isBerth, isTransit, replaced, thingOf, thingsOf, turned, without } from './edit';
import { FEATURE_VIEWS, viewOfFeature } from './features';
import { kindWords } from './finish';
import type { Thing } from './hit';
import { LengthBox } from '../parts/LengthBox';
import { NumberBox } from '../parts/NumberBox';
import { TransitFields } from './TransitFields';
import { usePlace, usePlaceStore, type FleetOutline } from './store';
import { holds } from '../words/holds';

const SOLIDS = (Object.keys(FEATURE_VIEWS) as FeatureKind[]).filter(
  (kind): kind is Solid['kind'] => definitionOf(kind).shape === 'outline',
);
type Solid = Extract<Feature, { outline_m: unknown }>;

/** What is chosen: its name, what it is, its figures. */
export function ThingPanel({
  edit,
  fleet,
}: {
  edit: (place: Place) => void;
  fleet: readonly FleetOutline[];
}) {
  const place = usePlace((s) => s.place);
  const thing = usePlace((s) => thingOf(s.place, s.chosen));
  const store = usePlaceStore();
  if (!thing) return <Contents />;
  const change = (part: Partial<Thing>) => edit(replaced(place, { ...thing, ...part } as Thing));
  return (
    <section aria-label="What is chosen" data-testid="thing">
      <h2 className="pb-1 text-[15px] font-semibold">{thing.name}</h2>
      <Name key={thing.id} thing={thing} place={place} edit={edit} />
      {isBerth(thing) ? (
        <BerthFields berth={thing} place={place} change={change} edit={edit} />
      ) : isTransit(thing) ? (
        <TransitFields transit={thing} place={place} change={change} />
      ) : isArea(thing) ? (
        <AreaFields area={thing} fleet={fleet} change={change} />
      ) : (
        <FeatureFields feature={thing} place={place} change={change} />
      )}
      {(isBerth(thing) || 'outline_m' in thing) && (
        <Turn turn={(by) => edit(replaced(place, turned(thing, by)))} />
      )}
      <p className="pt-2">
        <button
          type="button"
          className="text-plan underline"
          onClick={() => {
            edit(without(place, thing.id));
            store.getState().choose(null);
          }}
        >
          Remove it
        </button>
      </p>
    </section>
  );
}

/** Turned round its middle by so much, to starboard as it is told. */
function Turn({ turn }: { turn: (by_deg: number) => void }) {
  const [by, setBy] = useState(10);
  return (
    <p className="flex items-baseline gap-3">
      <NumberBox label="turn by" value={by} unit="°" least={-180} most={180} onChange={setBy} />
      <button type="button" className="text-plan underline" onClick={() => turn(by)}>
        Turn it
      </button>
    </p>
  );
}

/** A name counts when the field is left; one that is taken, or none at all, is refused. */
function Name({ thing, place, edit }: { thing: Thing; place: Place; edit: (p: Place) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const run = () => {
    if (typed === null || typed.trim() === thing.name) return setTyped(null);
    const next = renamed(place, thing, typed.trim());
    const checked = check<Place>(placeSchema, next);
    if (!checked.ok) return setWrong(checked.problems[0]!.message);
    setWrong(null);
    setTyped(null);
    edit(next);
  };
  return (
    <label className="block pb-1">
      <span className="text-[13px] text-quiet">called</span>
      <input
        className="w-full"
        value={typed ?? thing.name}
        maxLength={80}
        aria-invalid={wrong ? true : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={run}
        onKeyDown={(event) => event.key === 'Enter' && run()}
      />
      {wrong && (
        <span role="alert" className="text-[12.5px] font-semibold text-hurt">
          {wrong}
        </span>
      )}
    </label>
  );
}

/** With the new name wherever the place itself uses the old one. */
function renamed(place: Place, thing: Thing, name: string): Place {
  const next = replaced(place, { ...thing, name });
  const instead = (one: string) => (one === thing.name ? name : one);
  if (!('x_m' in thing)) return next;
  return {
    ...next,
    transits: next.transits.map((t) => ({
      ...t,
      front: instead(t.front),
      back: instead(t.back),
    })),
    features: next.features.map((f) =>
      f.kind === 'groundLine' && f.tail === thing.name ? { ...f, tail: name } : f,
    ),
  };
}

function AreaFields({ area, fleet, change }: AreaFieldsProps<AreaKind>) {
  const { Fields } = viewOfArea(area.kind);
  return <Fields area={area} fleet={fleet} change={change} />;
}

function FeatureFields({
  feature,
  place,
  change,
}: {
  feature: Feature;
  place: Place;
  change: (part: Partial<Feature>) => void;
}) {
  const { Fields } = viewOfFeature(feature.kind);
  if ('outline_m' in feature)
    return (
      <div className="flex flex-col gap-1">
        <span>
          <span className="text-[13px] text-quiet">is a </span>
          <Choice
            label="What it is"
            value={feature.kind}
            options={SOLIDS.map((value) => ({ value, text: viewOfFeature(value).words }))}
            onChange={(kind) => change({ kind })}
          />
        </span>
        <span>
          <span className="text-[13px] text-quiet">its face is </span>
          <Choice
            label="What its face is"
            value={feature.surface ?? 'usual'}
            options={surfaceOptions(feature.kind)}
            onChange={(surface) =>
              change({ surface: surface === 'usual' ? undefined : surface } as Partial<Feature>)
            }
          />
        </span>
        <Height feature={feature} change={change} />
        <p className="figures text-[13px] text-quiet">{feature.outline_m.length} corners</p>
      </div>
    );
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1">
      <p className="w-full text-[13px] text-quiet">a {kindWords(feature.kind)}</p>
      <LengthBox
        label="east"
        value={feature.x_m}
        least={-20000}
        most={20000}
        onChange={(x_m) => change({ x_m })}
      />
      <LengthBox
        label="north"
        value={feature.y_m}
        least={-20000}
        most={20000}
        onChange={(y_m) => change({ y_m })}
      />
      {Fields && <Fields feature={feature} place={place} change={change} />}
      <BollardDistances from={feature} place={place} />
    </div>
  );
}

/** Height of something solid over the water: known or not. */
function Height({
  feature,
  change,
}: {
  feature: Extract<Feature, { outline_m: unknown }>;
  change: (part: Partial<Feature>) => void;
}) {
  const { height_m } = feature;
  return (
    <span className="flex flex-wrap items-baseline gap-3">
      <label className="flex min-h-8 items-center gap-1.5 text-[13px]">
        <input
          type="checkbox"
          className="min-h-0"
          checked={height_m !== undefined}
          onChange={(event) =>
            change({ height_m: event.target.checked ? 1 : undefined } as Partial<Feature>)
          }
        />
        height known
      </label>
      {height_m !== undefined && (
        <LengthBox
          label="over the water"
          value={height_m}
          least={0.1}
          most={200}
          onChange={(metres) => change({ height_m: metres })}
        />
      )}
    </span>
  );
}

const wordFor = (thing: Thing) =>
  isBerth(thing) ? 'berth' : isTransit(thing) ? 'transit' : kindWords(thing.kind);

/** Everything there is, to be chosen by keyboard as well. */
function Contents() {
  const place = usePlace((s) => s.place);
  const store = usePlaceStore();
  const things = thingsOf(place);
  return (
    <details>
      <summary className="cursor-pointer font-semibold">
        All objects: {holds(things.length - place.berths.length, place.berths.length)}
      </summary>
      {things.length === 0 && (
        <p className="text-quiet">
          Nothing yet. Begin with the edge you know best: a quay or a pontoon.
        </p>
      )}
      <ul className="pt-1 text-[13px]">
        {things.map((thing) => (
          <li key={thing.id}>
            <button
              type="button"
              className="min-h-7 text-left hover:text-plan"
              onClick={() => {
                store.getState().setTool({ is: 'choose' });
                store.getState().choose(thing.id);
              }}
            >
              {thing.name} <span className="text-quiet">{wordFor(thing)}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
