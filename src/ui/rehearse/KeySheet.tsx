'use client';
import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { useRecordHotkeys } from 'react-hotkeys-hook';
import { IconButton } from '../parts/IconButton';
import { actionWords, HELM_ACTIONS, keyWords, type HelmAction } from './keys';
import { KeyPicture } from './KeyPicture';
import { useNames } from '../plan/use-names';
import { PadPicture } from './PadPicture';
import { useHelmPreferences } from './preferences';
import { useLive } from './use-live';

const MODIFIERS = ['shift', 'ctrl', 'alt', 'meta'];
/** Every key of the helm on one sheet; press one's name to give it to another key. */
export function KeySheet({ onClose }: { onClose: () => void }) {
  const { boat } = useLive().file;
  const paddles = useNames().locks[0]?.paddles ?? [];
  const keys = useHelmPreferences((p) => p.keys);
  const reset = useHelmPreferences((p) => p.resetKeys);
  const [asked, setAsked] = useState<HelmAction | null>(null);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-paper/70" />
        <Dialog.Content
          className="fixed left-1/2 top-1/2 z-50 max-h-[90dvh] w-[min(760px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border border-ink bg-paper p-6 text-ink"
          aria-describedby="keys-how"
        >
          <div className="flex items-baseline justify-between">
            <Dialog.Title className="text-[18px] font-semibold">Keys at the helm</Dialog.Title>
            <Dialog.Close asChild>
              <span>
                <IconButton label="Close" onClick={onClose}>
                  <X size={17} />
                </IconButton>
              </span>
            </Dialog.Close>
          </div>
          <p id="keys-how" className="pb-2 text-quiet">
            Press a key&rsquo;s name here, then the key that is to do it. A key that did something
            else changes places with it.
          </p>
          <KeyPicture keys={keys} boat={boat} paddles={paddles} />
          <dl className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
            {HELM_ACTIONS.map((action) => {
              const words = actionWords(action, boat, paddles);
              if (!words) return null;
              return (
                <div key={action} className="rule-t flex items-center gap-3 py-1">
                  <dt className="w-24 shrink-0">
                    <button
                      type="button"
                      className={`figures min-h-8 w-full border px-2 ${asked === action ? 'border-plan bg-plan text-on-plan' : 'border-ink'}`}
                      aria-label={`${words}: ${keyWords(keys[action])}. Press to change`}
                      onClick={() => setAsked(action)}
                    >
                      {asked === action ? 'press one' : keyWords(keys[action])}
                    </button>
                  </dt>
                  <dd className="text-[13px]">{words}</dd>
                </div>
              );
            })}
          </dl>
          {asked && <Recorder action={asked} onDone={() => setAsked(null)} />}
          <p className="pt-3">
            <button type="button" className="text-plan underline" onClick={reset}>
              As they were at first
            </button>
          </p>
          <h3 className="pt-4 font-semibold">On a gamepad</h3>
          <PadPicture joystick={boat.joystick} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Waits for one key that is not only a modifier. */
function Recorder({ action, onDone }: { action: HelmAction; onDone: () => void }) {
  const setKey = useHelmPreferences((p) => p.setKey);
  const [pressed, recorder] = useRecordHotkeys();
  // What was begun has to be ended by the same pair: they are made anew at every drawing.
  const begun = useRef(recorder);
  useEffect(() => {
    const { start, stop } = begun.current;
    start();
    return stop;
  }, []);
  useEffect(() => {
    const names = [...pressed];
    const main = names.find((name) => !MODIFIERS.includes(name));
    if (!main) return;
    if (main !== 'escape') setKey(action, names.join('+'));
    onDone();
  }, [pressed, action, setKey, onDone]);
  return null;
}
