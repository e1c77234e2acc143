'use client';
import { endTo, SIDES, type Boat, type Place, type Side } from '@/document';
import { PASSAGES, type Going, type LyingThere, type PassageThere } from '@/planner';
import { Choice } from '../parts/Choice';
import { useUnits } from '../state/preferences';
import { reasonsForSide } from '../words/sides';
import { speedFrom, speedIn, tidy } from '../words/units';
import { Figure, Radios, Row } from './Fields';
import type { ManoeuvreWish } from './use-wish';

const END_WORDS = {
  stern: 'Stern to the berth, bow out.',
  bow: 'Bow to the berth, stern out.',
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

/** "port side to, bow in" */
const sideOption = (side: Side, lying: LyingThere | undefined) => ({
  value: side,
  text: `${side} side to${!lying || lying.bowIn === null ? '' : lying.bowIn ? ', bow in' : ', stern in'}`,
});

/** What is asked for a manoeuvre: boat, place, berth, what it is to do, how it lies, wind and current, its name. */
export function WishForm({
  wish,
  place,
  boat,
  boats,
  places,
}: {
  wish: ManoeuvreWish;
  place: Place;
  boat: Boat;
  boats: readonly Boat[];
  places: readonly Place[];
}) {
  const units = useUnits();
  const { berth, side, through, title, choose } = wish;
  return (
    <>
      <Row name="Boat">
        <Choice
          label="Boat"
          value={boat.id}
          options={boats.map(({ id, name, kind }) => ({ value: id, text: `${name}, ${kind}` }))}
          onChange={(boatId) => choose({ boatId })}
        />
      </Row>
      <Row name="Place">
        <Choice
          label="Place"
          value={place.id}
          options={places.map(({ id, name }) => ({ value: id, text: name }))}
          onChange={(placeId) => choose({ placeId })}
        />
      </Row>
      {berth && (
        <Row name="Berth, or press one on the plan">
          <Choice
            label="Berth"
            value={berth.id}
            options={place.berths.map(({ id, name }) => ({ value: id, text: name }))}
            onChange={(berthId) => choose({ berthId })}
          />
        </Row>
      )}
      <Row name="What the boat is to do">
        <Radios
          name="going"
          value={through ? `${through.going} ${through.lockId}` : wish.going}
          options={[...(wish.hasBerth ? GOING_WORDS : []), ...wish.passages.map(passageOption)]}
          onChange={(value) => {
            const [way, ...rest] = value.split(' ');
            const going = PASSAGES.find((one) => one === way);
            choose(
              going
                ? { through: { lockId: rest.join(' '), going } }
                : { through: null, going: value as Going },
            );
          }}
        />
      </Row>
      {berth && (
        <Row name="How the boat lies">
          {endTo(berth) ? (
            <p>{END_WORDS[endTo(berth)!]}</p>
          ) : (
            <>
              <Radios
                name="side"
                value={side}
                options={SIDES.map((s) => sideOption(s, wish.outlook?.lying?.[s]))}
                onChange={(value) => choose({ side: value as Side })}
              />
              <p className="pt-1 text-[12.5px] text-quiet">
                {reasonsForSide(wish.outlook?.sides ?? [], side, units).join(' ')}
              </p>
            </>
          )}
        </Row>
      )}
      <WindAndCurrent wish={wish} />
      <Row name="Name">
        <input
          type="text"
          aria-label="Name of the manoeuvre"
          className="w-full"
          value={title}
          maxLength={80}
          onChange={(event) => choose({ title: event.target.value })}
        />
      </Row>
    </>
  );
}

function WindAndCurrent({ wish: { wind, current, choose } }: { wish: ManoeuvreWish }) {
  const { speed } = useUnits();
  return (
    <Row name="Wind and current: you can drag them on the water later">
      <span className="flex flex-wrap gap-x-5 gap-y-1">
        <Figure
          label="Wind speed"
          unit={speed}
          value={tidy(speedIn(wind.speed, speed), 1)}
          onChange={(v) => choose({ wind: { ...wind, speed: speedFrom(v, speed) } })}
        />
        <Figure
          label="Wind from"
          unit="° from"
          value={wind.from}
          onChange={(from) => choose({ wind: { ...wind, from } })}
        />
        <Figure
          label="Current speed"
          unit={`${speed} current`}
          value={tidy(speedIn(current.speed, speed), 2)}
          onChange={(v) => choose({ current: { ...current, speed: speedFrom(v, speed) } })}
        />
        <Figure
          label="Current sets to"
          unit="° to"
          value={current.set}
          onChange={(set) => choose({ current: { ...current, set } })}
        />
      </span>
    </Row>
  );
}
