'use client';
import { useEffect } from 'react';
import { usePreferences } from '../state/preferences';

/** Loads kept preferences once and sets the page's theme. */
export function useTheme(): void {
  const theme = usePreferences((p) => p.theme);
  useEffect(() => {
    void usePreferences.persist.rehydrate();
  }, []);
  useEffect(() => {
    if (usePreferences.persist.hasHydrated()) document.documentElement.dataset.theme = theme;
  }, [theme]);
}
