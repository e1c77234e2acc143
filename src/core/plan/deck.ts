import type { Random } from '../math';
import type { SimState, World } from '../simulation';
import type { LineEvent } from './event-names';
import type { CrewMember } from './crew-member';
import type { Rigging } from './rigging';
import type { MarkOnPlace, PointOnBoat } from './references';

/** What the jobs need of those who do them, and of the boat. */
export interface Deck {
  readonly rigging: Rigging;
  readonly state: SimState;
  readonly world: World;
  readonly random: Random;
  readonly now: number;
  /** What is to go wrong for the sake of practice: seconds the next line comes late, and tries yet to be missed. */
  readonly mishaps: { late: number; misses: number };
  /** Who holds each line. */
  readonly tender: (CrewMember | null)[];
  get(line: number, column: number): number;
  set(line: number, column: number, value: number): void;
  reading(line: number): { readonly tension: number; readonly span: number };
  tellLine(line: number, what: LineEvent): void;
  /** How many turns each line was last put on. */
  readonly turns: number[];
  goTo(member: CrewMember, point: PointOnBoat): Generator<number, boolean>;
  toTend(member: CrewMember, line: number): Generator<number, boolean>;
  getAshore(member: CrewMember): Generator<number, boolean>;
  walkAshore(member: CrewMember, mark: MarkOnPlace): Generator<number, boolean>;
  idleAshore(mark: MarkOnPlace): CrewMember | null;
  windFrom(mark: MarkOnPlace): number;
  comesHome(line: number): void;
  /** Where a line's other end is, m east and north. */
  endOf(line: number): { readonly x: number; readonly y: number };
}
