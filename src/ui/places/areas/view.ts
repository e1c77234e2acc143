import type { ComponentType } from 'react';
import type { Area, AreaKind, AreaOf } from '@/document';
import type { Shape } from '../../plot/shapes';
import type { Units } from '../../words/units';
import type { FleetOutline } from '../store';

export interface AreaFieldsProps<K extends AreaKind> {
  readonly area: AreaOf<K>;
  readonly fleet: readonly FleetOutline[];
  change(part: Partial<Area>): void;
}

/** How a kind of area looks: its words, its drawing, its fields. What it is stands in document/areas. */
export interface AreaView<K extends AreaKind> {
  /** "depth area"; names of new ones are made of it. */
  readonly words: string;
  /** Drawn over boats and land: what stands there; otherwise under, as the water it is of. */
  readonly over: boolean;
  /** Tells where a place is when all of it cannot be shown: what is built and worked. */
  readonly gist?: boolean;
  /** Named before others where names do not fit: who does not read it does harm. */
  readonly needed?: boolean;
  /** @param stands level of the water there, over the place's nought, m: a pound's above a lock */
  readonly draw: (area: AreaOf<K>, stands: number) => readonly Shape[];
  /** What stands on the water for it. */
  readonly label: (area: AreaOf<K>, units: Units, stands: number) => string;
  /** What one just drawn has of its own. */
  readonly fresh: () => Omit<AreaOf<K>, 'kind' | 'id' | 'name' | 'outline_m' | 'extra'>;
  readonly Fields: ComponentType<AreaFieldsProps<K>>;
}
