'use client';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { useTheme } from '../hooks/use-theme';
import { ThemeButton, UnitButtons } from './Settings';

/** The band over every page but the workspace and the start. */
export function AreaFrame({
  children,
  area = 'boats',
}: {
  children: ReactNode;
  area?: 'boats' | 'places' | 'library' | 'manoeuvres' | 'guide';
}) {
  const here = (name: typeof area) => `${area === name ? 'font-semibold ' : ''}hover:text-plan`;
  useTheme();
  return (
    <>
      <header className="flex min-h-11 flex-wrap items-center gap-x-5 border-b border-ink bg-paper px-5">
        <Link href="/" className="text-[17px] font-extrabold tracking-tight">
          Yawtrope
        </Link>
        <nav aria-label="Areas" className="flex gap-4">
          <Link href="/" className={here('manoeuvres')}>
            Manoeuvres
          </Link>
          <Link href="/boats" className={here('boats')}>
            Boats
          </Link>
          <Link href="/places" className={here('places')}>
            Places
          </Link>
          <Link href="/library" className={here('library')}>
            Backups
          </Link>
          <Link href="/guide/first-steps" className={here('guide')}>
            Guide
          </Link>
        </nav>
        <div className="ml-auto flex items-center">
          <UnitButtons />
          <ThemeButton />
        </div>
      </header>
      <main className="mx-auto max-w-[1240px] px-6 pb-16 pt-6">{children}</main>
    </>
  );
}

export const LINK = 'text-plan underline decoration-1 underline-offset-3';
/** The next thing to do. */
export const FIRST_BUTTON =
  'inline-flex min-h-9 items-center gap-2 border border-plan bg-plan px-3.5 font-semibold text-on-plan disabled:border-quiet disabled:bg-transparent disabled:text-quiet';
export const BUTTON =
  'inline-flex min-h-9 items-center gap-2 border border-ink px-3.5 font-semibold hover:border-plan hover:text-plan disabled:border-quiet disabled:text-quiet';
