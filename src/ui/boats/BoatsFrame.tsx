'use client';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { useTheme } from '../hooks/use-theme';
import { ThemeButton, UnitButtons } from '../parts/Settings';

/** The band over every page of the Boats area. */
export function BoatsFrame({ children }: { children: ReactNode }) {
  useTheme();
  return (
    <>
      <header className="flex h-11 items-center gap-5 border-b border-ink bg-paper px-5">
        <Link href="/" className="text-[17px] font-extrabold tracking-tight">
          Yawtrope
        </Link>
        <nav aria-label="Areas" className="flex gap-4">
          <Link href="/" className="hover:text-plan">
            Manoeuvres
          </Link>
          <Link href="/boats" className="font-semibold hover:text-plan">
            Boats
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
export const BUTTON =
  'inline-flex min-h-9 items-center gap-2 border border-ink px-3.5 font-semibold hover:border-plan hover:text-plan disabled:border-quiet disabled:text-quiet';
