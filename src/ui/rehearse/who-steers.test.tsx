/** @jest-environment jsdom */
import { act, render, screen, waitFor } from '@testing-library/react';
import type { ManoeuvreFile, OrderDocument, StepDocument } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { driveCalls } from '@/workers/drive.worker';
import { WorkspaceProvider } from '../state/context';
import { workspaceOf } from '../testing/workspace-of';
import { answerInPage } from '../testing/in-page';
import { createStore } from 'zustand/vanilla';
import { appSteers } from './helm-by';
import { HelmByPlan } from './helm-by-plan';
import type { LiveState } from './live-state';
import type { Live } from './live';
import { OrdersDue, standingOrders } from './orders-due';
import { LiveProvider, useLive } from './use-live';
import { WhoSteers } from './WhoSteers';

// The helm taken by the plan; the drive itself is simulated, in the page, as fast as it goes.

const FAST = 40;
const LONG_MS = 60_000;

let live: Live;
function Seen() {
  live = useLive();
  return null;
}

const workedRound = demoFile('round-in-the-basin');

async function rehearse(file: ManoeuvreFile): Promise<void> {
  render(
    <WorkspaceProvider store={workspaceOf(file)}>
      <LiveProvider file={file} manoeuvreId={file.id}>
        <Seen />
        <WhoSteers />
      </LiveProvider>
    </WorkspaceProvider>,
  );
  await waitFor(() => expect(now().status).toBe('ready'));
  act(() => live.setRate(FAST));
}

const now = () => live.store.getState();
const until = (then: () => void) => waitFor(then, { timeout: LONG_MS });

beforeEach(() => {
  answerInPage(driveCalls);
  // Nothing is kept by a server here.
  globalThis.fetch = () => Promise.reject(new TypeError('Failed to fetch'));
});

it(
  'brings the boat where the plan brings it, and the rehearsal to its end',
  async () => {
    await rehearse(workedRound);
    act(() => live.setHelmBy('app'));
    act(() => live.run());
    // The controls are drawn as the app has them.
    await until(() => expect(now().helm!.levers.some(({ gear }) => gear !== 'neutral')).toBe(true));
    expect(now().helmBy).toBe('app');
    await until(() => expect(now().soFar).not.toBeNull());
    expect(now().status).toBe('over');
    expect(now().soFar!.outcome).toBe('reached');
  },
  LONG_MS,
);

it(
  'gives the helm to whoever touches a control, and works the boat no more',
  async () => {
    await rehearse(workedRound);
    act(() => live.setHelmBy('app'));
    act(() => live.run());
    await until(() => expect(now().now!.time).toBeGreaterThan(8));
    act(() =>
      live.move((helm) => ({
        ...helm,
        levers: helm.levers.map(() => ({ gear: 'ahead', throttle: 0 })),
      })),
    );
    expect(now().helmBy).toBe('you');
    const { time } = now().now!;
    const gears = new Set<number>();
    const off = live.store.subscribe(({ now: at }) => {
      if (at && at.time > time + 1) gears.add(at.engines[0]!.ordered);
    });
    await until(() => expect(now().now!.time).toBeGreaterThan(time + 12));
    off();
    expect([...gears]).toEqual([1]);
  },
  LONG_MS,
);

it(
  'leaves the one step that is practised to the user, the controls as they stand',
  async () => {
    await rehearse(workedRound);
    expect(screen.queryByText(/the helm is yours/)).toBeNull();
    act(() => live.setHelmBy(1));
    expect(screen.getByText(/Touch a control and the helm is yours/)).toBeTruthy();
    act(() => live.run());
    await until(() => expect(now().now!.step).toBe(1));
    const { time } = now().now!;
    expect(appSteers(now().helmBy, 1)).toBe(false);
    const put: unknown[] = [];
    const off = live.store.subscribe(({ helm }) => put.push(helm));
    await until(() => expect(now().now!.time).toBeGreaterThan(time + 10));
    off();
    // Nobody moves them any more.
    expect(new Set(put.slice(1)).size).toBe(1);
  },
  LONG_MS,
);

it(
  'hands the helm over where a step does not come in time, with what the plan has for that',
  async () => {
    const { plan } = workedRound;
    const [first, ...others] = plan.steps;
    const wayOut = { note: 'neutral, and look round', automatic: true, orders: [neutral] };
    await rehearse({
      ...workedRound,
      plan: {
        ...plan,
        steps: [{ ...first!, wayOut }, ...others.map((step) => ({ ...step, within_s: 3 }))],
      },
    });
    act(() => live.setHelmBy('app'));
    act(() => live.run());
    await until(() => expect(now().handedOver).not.toBeNull());
    expect(now().helmBy).toBe('you');
    expect(screen.getByRole('alert').textContent).toBe(
      'The next step did not come in 3 s: neutral, and look round. The helm is yours.',
    );
    await until(() =>
      expect(now().helm!.levers.every(({ gear }) => gear === 'neutral')).toBe(true),
    );
  },
  LONG_MS,
);

it('gives in its time what a step had still to order when it is gone back to', () => {
  const said: OrderDocument[] = [];
  const store = createStore<LiveState>(
    () => ({ now: null, status: 'running', helmBy: 'app', recent: null }) as unknown as LiveState,
  );
  const steps = [{ ...stepWith({ ...neutral, after_s: 4 }), within_s: 60 }];
  const file = { plan: { steps, end: { within_s: 60 } } };
  const steered = { store, file, say: (order: OrderDocument) => said.push(order) };
  new HelmByPlan(steered as unknown as ConstructorParameters<typeof HelmByPlan>[0]).follow();
  const events = [{ time: 10, is: 'step', step: 0 }];
  const at = (time: number) =>
    store.setState({ now: { step: 0, time }, recent: { events } } as unknown as LiveState);
  for (const time of [10, 12, 15]) at(time);
  expect(said).toEqual([neutral]);
  // Back before it was given, it is given again, and no sooner.
  at(12);
  at(13.9);
  expect(said).toHaveLength(1);
  at(14);
  expect(said).toEqual([neutral, neutral]);
});

const stepWith = (...orders: OrderDocument[]) => ({ orders }) as StepDocument;
const neutral: OrderDocument = { do: 'engine', after_s: 0, gear: 'neutral', throttle: 0 };

describe('orders that fall due', () => {
  const ahead: OrderDocument = { ...neutral, gear: 'ahead' };
  const wheel = (angle_deg: number): OrderDocument => ({ do: 'wheel', after_s: 0, angle_deg });

  it('come each in its time and once, and are forgotten', () => {
    const due = new OrdersDue((order) => order.do !== 'call');
    due.begin(
      stepWith(wheel(20), { ...ahead, after_s: 3 }, { do: 'call', after_s: 0, text: 'so' }),
      10,
    );
    expect(due.come(10)).toEqual([wheel(20)]);
    expect(due.come(12.9)).toEqual([]);
    expect(due.come(13)).toEqual([ahead]);
    expect(due.come(20)).toEqual([]);
    due.begin(stepWith(wheel(5)), 20);
    due.forget();
    expect(due.come(30)).toEqual([]);
  });

  it('stand until another of their kind comes, in the order they were given in', () => {
    const steps = [
      stepWith(ahead, wheel(20)),
      stepWith({ do: 'call', after_s: 0, text: 'now' }, { ...neutral, after_s: 4 }),
      stepWith(wheel(-5)),
    ];
    const standing = (upTo: number) => standingOrders({ steps }, upTo, () => true);
    expect(standing(-1)).toEqual([]);
    expect(standing(1)).toEqual([wheel(20), neutral]);
    expect(standing(2)).toEqual([neutral, wheel(-5)]);
  });
});
