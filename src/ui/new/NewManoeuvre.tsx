'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { sidesOf } from '@/core/brief';
import {
  endTo,
  locksOfPlace,
  usualWater,
  SIDES,
  toWeather,
  type Boat,
  type Place,
  type Problem,
  type Side,
} from '@/document';
import { LOCK_START_WIND_MPS, START_WIND_MPS } from '@/core/policy';
import {
  beginPassage,
  groundOf,
  passagesAt,
  lyingIn,
  PASSAGES,
  stuckIn,
  type Going,
  type Passage,
  type PassageThere,
} from '@/planner';
import { fitsLock } from '../locks/fits-lock';
import { AreaFrame, BUTTON } from '../parts/AreaFrame';
import { saveDocument } from '../parts/save-document';
import { Problems } from '../parts/Problems';
import { Choice } from '../parts/Choice';
import { useUnits } from '../state/preferences';
import { speedFrom, speedIn, tidy } from '../words/units';
import { reasonsForSide } from '../words/sides';
import { BerthPlan } from './BerthPlan';
import { Figure, Radios, Row } from './Fields';

const END_WORDS = {
  stern: 'Her stern to it, her bow out.',
  bow: 'Her bow to it, her stern out.',
} as const;

const GOING_WORDS: readonly { value: Going; text: string }[] = [
  { value: 'in', text: 'come in' },
  { value: 'out', text: 'go out' },
  { value: 'round', text: 'turn round in front of it' },
];

const passageOption = ({ lockId, going, through }: PassageThere) => ({
  value: `${going} ${lockId}`,
  text: `go ${going} through ${through.join(' and ')}`,
});

/** A boat to begin with: the first no longer than nine tenths of the place's first berth that its locks take in. */
function firstThatFits(boats: readonly Boat[], place: Place | undefined): string {
  const locks = place ? locksOfPlace(place).map(({ working }) => working) : [];
  const edge = place?.berths[0]?.edge_m;
  const room = edge ? Math.hypot(edge[1][0] - edge[0][0], edge[1][1] - edge[0][1]) : Infinity;
  const lies = ({ hull }: Boat) => hull.length_m <= 0.9 * room;
  const passes = ({ hull }: Boat) =>
    locks.every((lock) => fitsLock({ length: hull.length_m, beam: hull.beam_m }, lock));
  const fits = boats.find((boat) => lies(boat) && passes(boat)) ?? boats.find(lies);
  return (fits ?? boats[0])?.id ?? '';
}

/** Through which lock of the place, and which way. */
interface Through {
  readonly lockId: string;
  readonly passage: Passage;
}

/** Place, berth, boat and wind of a manoeuvre to be; the plan is written afterwards, by hand or by a figure. */
export function NewManoeuvre({
  boats,
  places,
  wanted,
}: {
  boats: readonly Boat[];
  places: readonly Place[];
  /** Id of the place to begin with. */
  wanted: string | null;
}) {
  const router = useRouter();
  const units = useUnits();
  const { speed } = units;
  const first = places.find(({ id }) => id === wanted) ?? places[0];
  const [placeId, setPlaceId] = useState(first?.id ?? '');
  const [boatId, setBoatId] = useState(() => firstThatFits(boats, first));
  const [berthId, setBerthId] = useState<string | null>(null);
  const [ownGoing, setGoing] = useState<Going>('in');
  const [ownThrough, setThrough] = useState<Through | null>(null);
  const [ownSide, setSide] = useState<Side | null>(null);
  const [ownTitle, setTitle] = useState<string | null>(null);
  const [ownWind, setWind] = useState<{ speed: number; from: number } | null>(null);
  const [current, setCurrent] = useState({ speed: 0, set: 90 });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);

  const place = places.find(({ id }) => id === placeId);
  const boat = boats.find(({ id }) => id === boatId);
  const berth = place?.berths.find(({ id }) => id === berthId) ?? place?.berths[0] ?? null;
  const locks = useMemo(() => (place ? locksOfPlace(place) : []), [place]);
  const passages = useMemo(() => (place ? passagesAt(place) : []), [place]);
  // Where there is no berth there is a lock, or the place were not offered.
  const through =
    ownThrough && locks.some(({ id }) => id === ownThrough.lockId)
      ? ownThrough
      : !berth && passages[0]
        ? { lockId: passages[0].lockId, passage: passages[0].going }
        : null;
  const { lockId, passage } = through ?? {};
  const usual = lockId === undefined ? START_WIND_MPS : LOCK_START_WIND_MPS;
  const wind = ownWind ?? { speed: usual, from: 240 };
  const conditions = useMemo(
    () => ({
      wind: { from_deg: wind.from, speed_mps: wind.speed },
      current: { set_deg: current.set, speed_mps: current.speed },
      water: place ? usualWater(place) : 'sea',
    }),
    [wind.from, wind.speed, current, place],
  );
  const passing = useMemo(
    () =>
      boat && place && lockId && passage
        ? beginPassage({ id: 'new', title: 'new', boat, place, lockId, going: passage, conditions })
        : null,
    [boat, place, lockId, passage, conditions],
  );
  const ground = useMemo(() => (boat && place ? groundOf(boat, place) : null), [boat, place]);
  const craft = ground?.craft;
  const sides = useMemo(() => {
    if (!place || !berth || !boat || !craft) return [];
    const headings = {
      port: lyingIn(place, berth, boat, 'port').heading,
      starboard: lyingIn(place, berth, boat, 'starboard').heading,
    };
    return sidesOf(craft, toWeather(conditions, place), headings);
  }, [place, berth, boat, craft, conditions]);
  const lock = locks.find(({ id }) => id === lockId);
  if (!place || !boat || (!berth && !lock))
    return (
      <AreaFrame area="manoeuvres">
        <h1 className="text-[26px] font-extrabold">A new manoeuvre</h1>
        <p className="pt-3">
          {boats.length === 0
            ? 'There is no boat yet; make one first, under Boats.'
            : 'No place with a berth is kept. Open a manoeuvre file that brings one.'}
        </p>
      </AreaFrame>
    );
  const going = lock ? null : ownGoing;
  const bowIn = (s: Side) => (berth ? lyingIn(place, berth, boat, s).bowIn : null);
  // Bow first into a slip unless asked otherwise: it is the simpler of the two.
  const side = ownSide ?? SIDES.find((s) => bowIn(s)) ?? sides[0]?.side ?? 'port';
  const stuck =
    ground && berth && (going === 'in' || going === 'out')
      ? stuckIn(ground, lyingIn(place, berth, boat, side))
      : null;
  const verbs: Record<Going, string> = { in: 'Into', out: 'Out of', round: 'Round before' };
  const what = lock
    ? `${passage === 'up' ? 'Up' : 'Down'} through ${lock.name}`
    : `${verbs[ownGoing]} ${berth!.name}`;
  const title = ownTitle ?? `${what}, ${boat.name}`.slice(0, 80);

  // The side was chosen for the berth before.
  const chooseBerth = (id: string | null) => {
    setBerthId(id);
    setSide(null);
  };

  const begin = async () => {
    setBusy(true);
    const named = { title, boatId, placeId, conditions };
    const answer = lock
      ? await saveDocument(
          'POST',
          '/api/manoeuvres/begin-passage',
          JSON.stringify({ ...named, lockId: lock.id, going: passage }),
        )
      : await saveDocument(
          'POST',
          '/api/manoeuvres/begin',
          JSON.stringify({ ...named, berthId: berth!.id, side, going }),
        );
    if (answer.ok && answer.value.id) return router.push(`/m/${answer.value.id}`);
    setBusy(false);
    if (!answer.ok) setProblems(answer.problems);
  };

  return (
    <AreaFrame area="manoeuvres">
      <div className="grid h-[calc(100dvh-136px)] min-h-[520px] grid-cols-[minmax(0,1fr)_380px] gap-8 max-md:h-auto max-md:grid-cols-1 max-md:grid-rows-[50dvh_auto]">
        <BerthPlan
          place={place}
          boat={boat}
          chosen={lock ? null : berth}
          side={side}
          start={passing?.ok ? passing.value.start : null}
          onChoose={({ id }) => {
            setThrough(null);
            chooseBerth(id);
          }}
        />
        <form
          aria-label="A new manoeuvre"
          className="overflow-y-auto pr-1"
          onSubmit={(event) => {
            event.preventDefault();
            void begin();
          }}
        >
          <h1 className="pb-2 text-[26px] font-extrabold leading-none tracking-tight">
            A new manoeuvre
          </h1>
          <Row name="Place">
            <Choice
              label="Place"
              value={place.id}
              options={places.map(({ id, name }) => ({ value: id, text: name }))}
              onChange={(id) => {
                setPlaceId(id);
                chooseBerth(null);
              }}
            />
          </Row>
          {berth && !lock && (
            <Row name="Berth, or press one on the plan">
              <Choice
                label="Berth"
                value={berth.id}
                options={place.berths.map(({ id, name }) => ({ value: id, text: name }))}
                onChange={chooseBerth}
              />
            </Row>
          )}
          <Row name="Boat">
            <Choice
              label="Boat"
              value={boat.id}
              options={boats.map(({ id, name, kind }) => ({ value: id, text: `${name}, ${kind}` }))}
              onChange={setBoatId}
            />
          </Row>
          <Row name="What she is to do">
            <Radios
              name="going"
              value={through ? `${through.passage} ${through.lockId}` : ownGoing}
              options={[...(berth ? GOING_WORDS : []), ...passages.map(passageOption)]}
              onChange={(value) => {
                const [way, ...rest] = value.split(' ');
                const asked = PASSAGES.find((one) => one === way);
                setThrough(asked ? { lockId: rest.join(' '), passage: asked } : null);
                if (!asked) setGoing(value as Going);
              }}
            />
          </Row>
          {berth && !lock && (
            <Row name="How she lies">
              {endTo(berth) ? (
                <p>{END_WORDS[endTo(berth)!]}</p>
              ) : (
                <Radios
                  name="side"
                  value={side}
                  options={SIDES.map((s) => ({
                    value: s,
                    text: `${s} side to${bowIn(s) === null ? '' : bowIn(s) ? ', bow in' : ', stern in'}`,
                  }))}
                  onChange={(value) => setSide(value as Side)}
                />
              )}
              {!endTo(berth) && (
                <p className="pt-1 text-[12.5px] text-quiet">
                  {reasonsForSide(sides, side, units).join(' ')}
                </p>
              )}
            </Row>
          )}
          <Row name="Wind and current, to be dragged later">
            <span className="flex flex-wrap gap-x-5 gap-y-1">
              <Figure
                label="Wind speed"
                unit={speed}
                value={tidy(speedIn(wind.speed, speed), 1)}
                onChange={(v) => setWind({ ...wind, speed: speedFrom(v, speed) })}
              />
              <Figure
                label="Wind from"
                unit="° from"
                value={wind.from}
                onChange={(from) => setWind({ ...wind, from })}
              />
              <Figure
                label="Current speed"
                unit={`${speed} current`}
                value={tidy(speedIn(current.speed, speed), 2)}
                onChange={(v) => setCurrent({ ...current, speed: speedFrom(v, speed) })}
              />
              <Figure
                label="Current sets to"
                unit="° to"
                value={current.set}
                onChange={(set) => setCurrent({ ...current, set })}
              />
            </span>
          </Row>
          <Row name="Name">
            <input
              type="text"
              aria-label="Name of the manoeuvre"
              className="w-full"
              value={title}
              maxLength={80}
              onChange={(event) => setTitle(event.target.value)}
            />
          </Row>
          {stuck && (
            <p role="alert" className="border-l-4 border-hurt-fill pl-2 font-semibold text-hurt">
              {boat.name} would lie {stuck.deep_m.toFixed(1)} m inside {stuck.name}: choose a berth
              with more room, or a smaller boat.
            </p>
          )}
          {passing && !passing.ok && (
            <p role="alert" className="border-l-4 border-hurt-fill pl-2 font-semibold text-hurt">
              {passing.problems[0]!.message}
            </p>
          )}
          <div className="pt-3">
            <button
              type="submit"
              className={BUTTON}
              disabled={busy || (passing !== null && !passing.ok)}
            >
              {busy ? 'Laying it out …' : 'Begin'}
            </button>
          </div>
          <Problems problems={problems} lead="It was not begun; nothing has changed." />
        </form>
      </div>
    </AreaFrame>
  );
}
