/**
 * Colours, once for style sheets and canvas alike. Red and green are kept for port and starboard.
 * Text pairs hold AA contrast (4.5 : 1) on their ground, checked in palette.test.ts.
 */
export interface Palette {
  readonly paper: string;
  readonly ink: string;
  readonly quiet: string;
  readonly hairline: string;
  readonly water: string;
  readonly land: string;
  readonly float: string;
  readonly moored: string;
  readonly shore: string;
  /** What is planned, and the next action. */
  readonly plan: string;
  readonly onPlan: string;
  readonly sweep: string;
  /** What can hurt: as text, and as a fill with ink on it. */
  readonly hurt: string;
  readonly hurtFill: string;
  readonly port: string;
  readonly starboard: string;
}

export const DAY: Palette = {
  paper: '#ffffff',
  ink: '#14242c',
  quiet: '#54646b',
  hairline: '#c5ced0',
  water: '#e4ebea',
  land: '#cdcfc6',
  float: '#fbfbf8',
  moored: '#f1f3f1',
  shore: '#59676c',
  plan: '#1f45c0',
  onPlan: '#ffffff',
  sweep: '#c4d0f1',
  hurt: '#8f5200',
  hurtFill: '#eda21f',
  port: '#b3261e',
  starboard: '#0d6b3f',
};

/** Dim and low in blue: warm greys, sand for what is planned, ember for what can hurt. */
export const NIGHT: Palette = {
  paper: '#14110d',
  ink: '#d6c4a5',
  quiet: '#a08f75',
  hairline: '#3a3226',
  water: '#1b1712',
  land: '#2b251c',
  float: '#342d22',
  moored: '#241f18',
  shore: '#7d6f5a',
  plan: '#dfb75c',
  onPlan: '#14110d',
  sweep: '#3d3320',
  hurt: '#f28a4b',
  hurtFill: '#d5672a',
  port: '#d9584c',
  starboard: '#6f9a62',
};

export type ThemeName = 'day' | 'night';
export const PALETTES: Readonly<Record<ThemeName, Palette>> = { day: DAY, night: NIGHT };

/** Style-sheet variables for both themes: --paper, --ink and so on. */
export function paletteCss(): string {
  const block = (palette: Palette) =>
    Object.entries(palette)
      .map(([name, value]) => `--${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}:${value}`)
      .join(';');
  return `:root{${block(DAY)}}:root[data-theme=night]{${block(NIGHT)};color-scheme:dark}`;
}
