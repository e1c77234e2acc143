import type { Brief, LockFigures, MooringHold, Motored } from '@/core/brief';
import type { Finding } from '@/core/checks';
import type { Lock, LockedBoat, LockOutlook, LockState } from '@/core/locks';
import type { RoseRange, Trial } from '@/core/reliability';
import type { GridCell, Surveyed, WindLimit } from '@/core/search';
import type { MeasuredMargins } from '@/core/monitors';
import type { Trace } from '@/core/simulation';
import type {
  Boat,
  Day,
  ManoeuvreFile,
  OwnTechnique,
  Place,
  RecordDocument,
  VariationDocument,
  Winds,
} from '@/document';
import type {
  Comparison,
  DayRun,
  Outlook,
  Proposal,
  Refused,
  Suggesting,
  SuggestionSoFar,
  TechniqueId,
  Tuned,
  Wish,
} from '@/planner';

interface OfFile {
  readonly file: ManoeuvreFile;
}

/** What recorded tracks are looked over against: the boat, the place, and what the boat may lie to. */
export interface AboutRecords {
  readonly boat: Boat;
  readonly place: Place;
  readonly berth: readonly string[];
}

/** A record looked over: the track on the place as a run has it, and what it shows. */
export interface LookedOver {
  readonly record: RecordDocument;
  readonly trace: Trace;
  readonly byCourse: boolean;
  readonly margins: MeasuredMargins;
}

interface LockAsked {
  readonly lock: Lock;
  readonly boat: LockedBoat;
}

/** More of a survey: moments just surveyed, and what else is known by now. */
export interface SurveyPart {
  readonly surveyed: readonly Surveyed[];
  readonly limit: WindLimit | null;
  readonly checks: readonly Finding[] | null;
}

/** A share of what several workers do together: of what is numbered, every `of`th from `at` on. */
export interface Part {
  readonly at: number;
  readonly of: number;
}

/** More tries of a part: with something made otherwise, and the same ones as the manoeuvre is told; and whether these are all. */
export interface TriedPart {
  readonly part: Part;
  readonly trials: readonly Trial[];
  readonly through: boolean;
  readonly asTold: readonly Trial[];
  readonly told: boolean;
}

type Shared = OfFile & { readonly variation: VariationDocument; readonly part?: Part };

/** What can be asked about a manoeuvre: what it is given, and what is told as it goes. */
export interface Analyses {
  /** The newest brief. */
  brief: { given: OfFile; told: Brief };
  survey: { given: OfFile & { readonly variation: VariationDocument }; told: SurveyPart };
  /** How sure the plan is, better known with every try. */
  certify: { given: Shared; told: TriedPart };
  /** The winds it holds in, one direction after another. */
  rose: { given: Shared; told: readonly RoseRange[] };
  /** Cells of a grid of winds, as they come. */
  grid: {
    given: OfFile & { readonly variation: VariationDocument; readonly winds: Winds };
    told: readonly GridCell[];
  };
  /** The plan's numbers, fitted; a manoeuvre that cannot be played is refused. */
  tune: { given: OfFile; told: Tuned };
  /** A technique written down for the manoeuvre, fitted; or why it is not for it. */
  propose: {
    given: OfFile & { readonly technique: TechniqueId | OwnTechnique };
    told: Proposal | Refused;
  };
  /** Plans looked for and tried, and how far that is; as many tries as a time in seconds allows on two cores. */
  suggest: { given: OfFile & Pick<Suggesting, 'seconds' | 'school'>; told: SuggestionSoFar };
  /** Every technique that fits, one after the other. */
  compare: { given: OfFile; told: Comparison<TechniqueId> };
  /** Runs at moments of a day, seconds since 1970 UTC, as they come. */
  day: {
    given: OfFile & { readonly day: Day; readonly moments: readonly number[] };
    told: readonly DayRun[];
  };
  /** Where the boat settles on the lines it begins with, motored so; and what if one parts. */
  hold: { given: OfFile & { readonly motored: Motored }; told: MooringHold };
  /** What a manoeuvre to be comes to before it is begun: how the boat would lie, which side is better, where it would come from. */
  outlook: { given: Wish; told: Outlook };
  /** Tracks that instruments recorded, on the place as runs have them, and how near the boat came to what is there. */
  lookOver: {
    given: AboutRecords & { readonly records: readonly RecordDocument[] };
    told: readonly LookedOver[];
  };
  /** What the water of a lock is about to do, and to a boat in it. */
  lockOutlook: { given: LockAsked & { readonly state: LockState }; told: LockOutlook };
  /** What a lock means for a boat: fit, paces, rope and times. */
  lockFigures: { given: LockAsked & { readonly coping: number }; told: LockFigures };
}

export type AnalysisName = keyof Analyses;
export type Given<K extends AnalysisName> = Analyses[K]['given'];
export type AnalysisUpdate<K extends AnalysisName> = Analyses[K]['told'];
