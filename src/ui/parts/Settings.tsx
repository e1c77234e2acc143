'use client';
import { Moon, Sun } from 'lucide-react';
import { usePreferences, type ForceUnit } from '../state/preferences';
import { IconButton } from './IconButton';

const FORCES: readonly ForceUnit[] = ['N', 'kgf', 'lbf'];

/** Units of speed, length and force, one press each. */
export function UnitButtons() {
  const { speed, length, force, setSpeed, setLength, setForce } = usePreferences();
  return (
    <>
      <button
        type="button"
        aria-label={`Speeds in ${speed}; change`}
        title="Speeds in kn or m/s"
        className="figures min-h-8 px-1.5 hover:text-plan"
        onClick={() => setSpeed(speed === 'kn' ? 'm/s' : 'kn')}
      >
        {speed}
      </button>
      <button
        type="button"
        aria-label={`Lengths in ${length}; change`}
        title="Lengths in m or ft"
        className="figures min-h-8 px-1.5 hover:text-plan"
        onClick={() => setLength(length === 'm' ? 'ft' : 'm')}
      >
        {length}
      </button>
      <button
        type="button"
        aria-label={`Forces in ${force}; change`}
        title="Forces in N, kgf or lbf"
        className="figures min-h-8 px-1.5 hover:text-plan"
        onClick={() => setForce(FORCES[(FORCES.indexOf(force) + 1) % FORCES.length]!)}
      >
        {force}
      </button>
    </>
  );
}

/** Colours for day or night. */
export function ThemeButton() {
  const { theme, setTheme } = usePreferences();
  return (
    <IconButton
      label={theme === 'day' ? 'Night colours' : 'Day colours'}
      onClick={() => setTheme(theme === 'day' ? 'night' : 'day')}
    >
      {theme === 'day' ? <Moon size={16} /> : <Sun size={16} />}
    </IconButton>
  );
}
