'use client';
import { BookOpen, Copy, Download, Footprints, MoreHorizontal, Sailboat } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { Saved } from '../parts/Saved';
import { ThemeButton, UnitButtons } from '../parts/Settings';
import { UndoButtons } from '../parts/UndoButtons';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { PHASES, type Phase } from '../state/phases';
import type { SaveState } from '../hooks/use-autosave';
import { BoatDialog } from './BoatDialog';

/** What is open, whether it is kept, and the few things that always can be done. */
export function TopBar({ save, onTour }: { save: SaveState; onTour: () => void }) {
  const title = useWorkspace((s) => s.manoeuvre.title);
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const temporal = useWorkspaceStore().temporal;
  return (
    <header className="flex h-11 items-center gap-4 border-b border-ink bg-paper px-5 max-md:h-auto max-md:flex-wrap max-md:gap-x-3 max-md:gap-y-0 max-md:px-3">
      <Link href="/" className="text-[17px] font-extrabold tracking-tight">
        Yawtrope
      </Link>
      <h1 className="truncate text-[15px] font-semibold max-md:flex-1">{title}</h1>
      <p className="hidden truncate text-quiet lg:block">
        <Link href={`/boats/${boat.id}`} className="hover:text-plan hover:underline">
          {boat.name}
        </Link>
        <span className="hidden min-[1400px]:inline">
          , {boat.kind} · {place.name}
        </span>
      </p>
      <PhaseTabs />
      <Saved save={save} />
      <div className="flex shrink-0 items-center">
        <UnitButtons />
        <UndoButtons temporal={temporal} />
        <ThemeButton />
        <More onTour={onTour} />
      </div>
    </header>
  );
}

const PHASE_WORDS: Readonly<Record<Phase, string>> = {
  brief: 'Brief',
  plan: 'Plan',
  'what if': 'What if',
  rehearse: 'Rehearse',
  debrief: 'Debrief',
  card: 'Card',
};

/** What the workspace is used for; the water stays. */
function PhaseTabs() {
  const phase = useWorkspace((s) => s.phase);
  const setPhase = useWorkspace((s) => s.setPhase);
  return (
    <nav
      aria-label="Phases"
      className="ml-auto flex h-full shrink-0 gap-1 max-md:order-last max-md:ml-0 max-md:h-10 max-md:w-full"
    >
      {PHASES.map((name) => (
        <button
          key={name}
          type="button"
          aria-current={phase === name ? 'page' : undefined}
          onClick={() => setPhase(name)}
          className={`h-full whitespace-nowrap border-b-4 px-2.5 pt-1 max-md:px-1.5 hover:text-plan focus-visible:-outline-offset-2 ${
            phase === name ? 'border-plan font-semibold' : 'border-transparent text-quiet'
          }`}
        >
          {PHASE_WORDS[name]}
        </button>
      ))}
    </nav>
  );
}

function More({ onTour }: { onTour: () => void }) {
  const id = useWorkspace((s) => s.manoeuvre.id);
  const router = useRouter();
  const [choosing, setChoosing] = useState(false);
  const copy = async () => {
    const response = await fetch(`/api/manoeuvres/${id}/copy`, { method: 'POST' });
    if (!response.ok) return;
    const made = (await response.json()) as { id: string };
    router.push(`/m/${made.id}`);
  };
  const item =
    'flex min-h-9 cursor-pointer items-center gap-2 px-3 outline-none data-[highlighted]:bg-plan data-[highlighted]:text-on-plan';
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label="More"
          title="More"
          className="flex size-8 items-center justify-center hover:text-plan"
        >
          <MoreHorizontal size={17} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            className="z-50 min-w-48 border border-ink bg-paper text-ink"
          >
            <DropdownMenu.Item className={item} onSelect={() => setChoosing(true)}>
              <Sailboat size={15} /> Another boat …
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={() => void copy()}>
              <Copy size={15} /> Make a copy
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} asChild>
              <a href={`/api/manoeuvres/${id}/file`} download>
                <Download size={15} /> Export
              </a>
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={onTour}>
              <Footprints size={15} /> Show me round
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} asChild>
              <a href="/guide/first-steps">
                <BookOpen size={15} /> Guide
              </a>
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {choosing && <BoatDialog onClose={() => setChoosing(false)} />}
    </>
  );
}
