'use client';
import Link from 'next/link';
import { Dialog, RadioGroup } from 'radix-ui';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { z } from 'zod';
import { boatSchema, type Boat } from '@/document';
import { useWorkspace, useWorkspaceStore } from '../state/context';

const listSchema = z.array(z.object({ id: z.string(), name: z.string(), kind: z.string() }));
type Listed = z.infer<typeof listSchema>[number];
const openedSchema = z.object({ boat: boatSchema });

async function read<T>(path: string, schema: z.ZodType<T>): Promise<T | null> {
  try {
    const response = await fetch(path);
    return response.ok ? schema.parse(await response.json()) : null;
  } catch {
    return null;
  }
}

/** Sails the open manoeuvre in another boat of the list; undone like any other change. */
export function BoatDialog({ onClose }: { onClose: () => void }) {
  const store = useWorkspaceStore();
  const now = useWorkspace((s) => s.boat.id);
  return (
    <BoatPicker
      title="Sail it in another boat"
      now={now}
      action="Use this boat"
      onChoose={(boat) => store.getState().takeBoat(boat)}
      onClose={onClose}
    >
      Steps and cues stay; orders go to the engine that stands in the same place. What the boat has
      not got is said where it is ordered.{' '}
      <Link href="/boats/new" className="text-plan underline">
        Build your own
      </Link>{' '}
      first if the boat is not here.
    </BoatPicker>
  );
}

/** One of the boats that are kept, to do something with. */
export function BoatPicker({
  title,
  now,
  action,
  children,
  onChoose,
  onClose,
}: {
  title: string;
  /** Id of the one that is marked as it opens. */
  now: string;
  action: string;
  children: ReactNode;
  onChoose: (boat: Boat) => void;
  onClose: () => void;
}) {
  const [boats, setBoats] = useState<readonly Listed[] | null>(null);
  const [chosen, setChosen] = useState(now);
  const [trouble, setTrouble] = useState('');
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let wanted = true;
    void read('/api/boats', listSchema).then((list) => {
      if (!wanted) return;
      setBoats(list ?? []);
      if (!list) setTrouble('The boats cannot be read; is the server still there?');
    });
    return () => {
      wanted = false;
    };
  }, []);
  useEffect(() => {
    list.current?.querySelector<HTMLElement>('[aria-checked=true]')?.focus();
  }, [boats]);
  const change = async () => {
    const opened = await read<{ boat: Boat }>(`/api/boats/${chosen}`, openedSchema);
    if (!opened) return setTrouble('The boat cannot be read; choose another.');
    onChoose(opened.boat);
    onClose();
  };
  const button = 'min-h-10 border border-ink px-4 font-semibold hover:border-plan hover:text-plan';
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-paper/70" />
        <Dialog.Content className="fixed left-1/2 top-1/2 z-50 flex max-h-[86vh] w-[520px] max-w-[94vw] -translate-1/2 flex-col border border-ink bg-paper p-6 text-ink">
          <Dialog.Title className="text-[18px] font-bold">{title}</Dialog.Title>
          <Dialog.Description className="pb-3 pt-1 text-[14px]">{children}</Dialog.Description>
          <RadioGroup.Root
            ref={list}
            aria-label="Boat"
            value={chosen}
            onValueChange={setChosen}
            className="min-h-0 flex-1 overflow-y-auto border-y border-ink"
          >
            {(boats ?? []).map(({ id, name, kind }) => (
              <RadioGroup.Item
                key={id}
                value={id}
                className="rule-b flex w-full items-baseline gap-3 px-2 py-1.5 text-left hover:text-plan focus-visible:-outline-offset-2 data-[state=checked]:bg-plan data-[state=checked]:text-on-plan"
              >
                <span className="font-semibold">{name}</span>
                <span className="text-[13px]">
                  {kind}
                  {id === now ? ', as it is' : ''}
                </span>
              </RadioGroup.Item>
            ))}
          </RadioGroup.Root>
          {trouble && (
            <p role="alert" className="pt-2 font-semibold text-hurt">
              {trouble}
            </p>
          )}
          <div className="flex gap-2 pt-4">
            <button
              type="button"
              className={button}
              disabled={boats === null}
              onClick={() => void change()}
            >
              {action}
            </button>
            <button type="button" className={button} onClick={onClose}>
              Leave it
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
