import { runPlan } from '@/core/plan';
import { NO_VARIATION, toRunInput } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { PHASES } from './phases';
import { createWorkspace } from './workspace';

const file = demoFile('off-stilt-pontoon');
const input = toRunInput(file);
if (!input.ok) throw new Error('the demo cannot be read');
const run = runPlan(input.value);

function store() {
  const { boat, place, ...rest } = file;
  return createWorkspace({
    manoeuvre: { ...rest, boatId: boat.id, placeId: place.id },
    boat,
    place,
  });
}

const late = { ...NO_VARIATION, late_s: 2 };

describe('phases of the workspace', () => {
  it('leave the manoeuvre alone and are not undone', () => {
    const s = store();
    const before = s.getState().manoeuvre;
    for (const phase of PHASES) s.getState().setPhase(phase);
    s.getState().setVariation(late);
    expect(s.getState().manoeuvre).toBe(before);
    expect(s.temporal.getState().pastStates).toHaveLength(0);
  });

  it('nothing stays varied outside What if', () => {
    const s = store();
    s.getState().setPhase('what if');
    s.getState().setVariation(late);
    s.getState().setPhase('what if');
    expect(s.getState().variation).toBe(late);
    s.getState().setPhase('plan');
    expect(s.getState().variation).toBe(NO_VARIATION);
  });

  it('a run held by the user’s word is kept, one held for the sliders is not', () => {
    const s = store();
    s.getState().setPhase('what if');
    s.getState().setReference({ run, file, kept: false });
    s.getState().setPhase('brief');
    expect(s.getState().reference).toBeNull();
    s.getState().setPhase('what if');
    s.getState().setReference({ run, file, kept: true });
    s.getState().setPhase('plan');
    expect(s.getState().reference?.run).toBe(run);
    // Editing goes on with it held.
    s.getState().edit((m) => {
      m.limit_s = 200;
    });
    expect(s.getState().reference?.run).toBe(run);
  });

  it('picking a mark is given up when another step or phase is opened', () => {
    const s = store();
    const picking = { what: 'cues.0.mark', choose: () => undefined };
    s.getState().setPicking(picking);
    s.getState().select('steady');
    expect(s.getState().picking).toBeNull();
    s.getState().setPicking(picking);
    s.getState().setPhase('brief');
    expect(s.getState().picking).toBeNull();
  });
});
