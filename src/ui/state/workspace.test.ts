import { demoFile } from '@/document/testing/demo';
import { fleetRecord } from '@/document/testing/fleet';
import { createWorkspace, Gesture, type WorkspaceStore } from './workspace';

function store(): WorkspaceStore {
  const { boat, place, ...rest } = demoFile('off-stilt-pontoon');
  return createWorkspace({
    manoeuvre: { ...rest, boatId: boat.id, placeId: place.id },
    boat,
    place,
  });
}

const wind = (s: WorkspaceStore) => s.getState().manoeuvre.conditions.wind.from_deg;
const undo = (s: WorkspaceStore) => s.temporal.getState().undo();
const redo = (s: WorkspaceStore) => s.temporal.getState().redo();

function turnWind(to: number) {
  return (m: { conditions: ReturnType<WorkspaceStore['getState']>['manoeuvre']['conditions'] }) => {
    m.conditions = { ...m.conditions, wind: { ...m.conditions.wind, from_deg: to } };
  };
}

describe('undo', () => {
  it('takes back and gives again one edit at a time', () => {
    const s = store();
    const before = s.getState().manoeuvre;
    s.getState().edit(turnWind(10));
    s.getState().edit(turnWind(20));
    undo(s);
    expect(wind(s)).toBe(10);
    undo(s);
    expect(s.getState().manoeuvre).toBe(before);
    redo(s);
    redo(s);
    expect(wind(s)).toBe(20);
  });

  it('leaves what is not the manoeuvre alone', () => {
    const s = store();
    s.getState().edit(turnWind(10));
    s.getState().select('go-ahead');
    s.getState().point('let-go');
    expect(s.temporal.getState().pastStates).toHaveLength(1);
    undo(s);
    expect(s.getState().selected).toBe('go-ahead');
  });

  it('counts an edit that changes nothing as none', () => {
    const s = store();
    s.getState().edit(() => undefined);
    expect(s.temporal.getState().pastStates).toHaveLength(0);
  });
});

describe('a gesture', () => {
  it('is undone as one, and given again as it ended', () => {
    const s = store();
    const gesture = new Gesture(s);
    for (const to of [331, 340, 350, 355]) gesture.edit(turnWind(to));
    gesture.end();
    expect(wind(s)).toBe(355);
    undo(s);
    expect(wind(s)).toBe(330);
    redo(s);
    expect(wind(s)).toBe(355);
  });

  it('can be cancelled to where it began', () => {
    const s = store();
    s.getState().edit(turnWind(300));
    const gesture = new Gesture(s);
    gesture.edit(turnWind(310));
    gesture.edit(turnWind(320));
    gesture.cancel();
    expect(wind(s)).toBe(300);
    undo(s);
    expect(wind(s)).toBe(330);
  });

  it('that did nothing leaves nothing to undo', () => {
    const s = store();
    const gesture = new Gesture(s);
    gesture.cancel();
    const another = new Gesture(s);
    another.end();
    expect(s.temporal.getState().pastStates).toHaveLength(0);
    s.getState().edit(turnWind(10));
    expect(s.temporal.getState().pastStates).toHaveLength(1);
  });
});

it('another manoeuvre put in its place is one edit', () => {
  const s = store();
  const other = { ...s.getState().manoeuvre, title: 'theirs' };
  s.getState().replace(other, s.getState().boat);
  expect(s.getState().manoeuvre.title).toBe('theirs');
  undo(s);
  expect(s.getState().manoeuvre.title).not.toBe('theirs');
});

it('another boat is one edit, undone with what it did to the plan', () => {
  const s = store();
  const { manoeuvre, boat } = s.getState();
  s.getState().takeBoat(fleetRecord('wicket'));
  expect(s.getState().boat.id).toBe('wicket');
  expect(s.getState().manoeuvre.boatId).toBe('wicket');
  s.getState().edit(turnWind(10));
  expect(s.getState().boat.id).toBe('wicket');
  undo(s);
  undo(s);
  expect(s.getState().boat).toBe(boat);
  expect(s.getState().manoeuvre).toBe(manoeuvre);
  redo(s);
  expect(s.getState().boat.id).toBe('wicket');
});
