/** @jest-environment jsdom */
import { act, render, screen, waitFor } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { useEffect } from 'react';
import { demoFile } from '@/document/testing/demo';
import { driveCalls } from '@/workers/drive.worker';
import { WorkspaceProvider } from '../state/context';
import { workspaceOf } from '../testing/workspace-of';
import { answerInPage } from '../testing/in-page';
import { Helm } from './Helm';
import { KeySheet } from './KeySheet';
import { useHelmPreferences } from './preferences';
import { useCalls } from './use-calls';
import { useGamepad } from './use-gamepad';
import { useHelmKeys } from './use-helm-keys';
import { LiveProvider, useLive } from './use-live';
import type { Live } from './live';

// The helm with hands at keys and gamepad; the drive itself is simulated, in the page.

/** What is at the helm, handed out of the page. */
interface Seen {
  live: Live;
  called: readonly string[];
}
let seen: Partial<Seen> = {};
const live = () => seen.live!;
const called = () => seen.called!;

function Hands({ tell }: { tell: (now: Seen) => void }) {
  const live = useLive();
  const calls = useCalls();
  useHelmKeys();
  useGamepad();
  useEffect(() => tell({ live, called: calls.map(({ text }) => text) }), [tell, live, calls]);
  return null;
}
const told = (now: Seen) => {
  seen = now;
};

async function atTheHelm(id: string, beside = <></>): Promise<void> {
  const file = demoFile(id);
  render(
    <WorkspaceProvider store={workspaceOf(file)}>
      <LiveProvider file={file} manoeuvreId={id}>
        <Hands tell={told} />
        <Helm />
        {beside}
      </LiveProvider>
    </WorkspaceProvider>,
  );
  await waitFor(() => expect(seen.live?.store.getState().status).toBe('ready'));
}

const helm = () => live().store.getState().helm!;
const status = () => live().store.getState().status;
const reads = (name: string) =>
  screen.getByRole('slider', { name }).getAttribute('aria-valuetext') ?? '';

beforeEach(() => {
  answerInPage(driveCalls);
  // Nothing is kept by a server here.
  globalThis.fetch = () => Promise.reject(new TypeError('Failed to fetch'));
  seen = {};
});

it('answers a gamepad: start, wheel, levers, neutral, thruster', async () => {
  const buttons = Array.from({ length: 17 }, () => ({ pressed: false }));
  const pad = { connected: true, axes: [0, 0, 0, 0], buttons };
  navigator.getGamepads = () => [pad as unknown as Gamepad];
  await atTheHelm('glide-to-the-steps');
  const hold = (button: number, pressed: boolean) =>
    act(() => (buttons[button]!.pressed = pressed));
  const tap = async (button: number, then: () => void) => {
    await hold(button, true);
    await waitFor(then);
    await hold(button, false);
    await act(() => new Promise((resolve) => setTimeout(resolve, 50)));
  };
  await tap(9, () => expect(status()).toBe('running'));
  pad.axes[0] = -1;
  await waitFor(() => expect(reads('Wheel')).toContain('port'));
  pad.axes[0] = 0;
  await waitFor(() => expect(reads('Wheel')).toContain('amidships'));
  await tap(12, () => expect(reads('Engine')).toContain('ahead'));
  await tap(0, () => expect(reads('Engine')).toContain('neutral'));
  await hold(5, true);
  await waitFor(() => expect(helm().thrusters).toContain(1));
  await hold(5, false);
  await waitFor(() => expect(helm().thrusters).not.toContain(1));
  await tap(9, () => expect(status()).toBe('paused'));
  navigator.getGamepads = () => [];
});

it('gives an action another key, and the key does it', async () => {
  const user = userEvent.setup();
  const Sheet = () => <KeySheet onClose={() => undefined} />;
  await atTheHelm('glide-to-the-steps', <Sheet />);
  await user.click(screen.getByRole('button', { name: /^all in neutral/ }));
  expect(screen.getByText('press one')).toBeTruthy();
  await user.keyboard('x');
  await waitFor(() => expect(useHelmPreferences.getState().keys.neutral).toBe('x'));
  expect(screen.getByTestId('key-picture').textContent).toMatch(/Xallneutral/);
  act(() => useHelmPreferences.getState().resetKeys());
});

it('speaks what is called, where the browser can and that is wanted', async () => {
  const said: string[] = [];
  const speech = {
    speak: ({ text }: { text: string }) => said.push(text),
    cancel: () => undefined,
  };
  Object.assign(globalThis, {
    speechSynthesis: speech,
    SpeechSynthesisUtterance: class {
      constructor(readonly text: string) {}
    },
  });
  useHelmPreferences.setState({ voice: true });
  await atTheHelm('alongside-wind-off');
  act(() => live().run());
  // Somebody looks there before the boat goes astern.
  act(() => live().move((now) => ({ ...now, levers: [{ gear: 'astern', throttle: 0 }] })));
  await waitFor(() => expect(said.length).toBeGreaterThan(0), { timeout: 5000 });
  expect(called()).toContain(said[0]);
  act(() => useHelmPreferences.setState({ voice: false }));
});
