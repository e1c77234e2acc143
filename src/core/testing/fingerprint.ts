import type { Run } from '../plan';
import { namedColumns } from '../simulation';

/**
 * What a run came to, to the last bit: one line of text for each of its parts. Two runs that differ anywhere in a sample,
 * an event or a margin have different lines; the same run has the same ones in every engine.
 */
export interface Fingerprint {
  readonly outcome: string;
  readonly samples: number;
  readonly trace: string;
  readonly events: string;
  readonly margins: string;
}

/**
 * The list of fingerprints was made when some things went by other names. What a name stands for has not changed, so
 * that a run is the same where it is the same but for these.
 */
const KEYS: ReadonlyMap<string, string> = new Map([
  ['step', 'beat'],
  ['steps', 'beats'],
]);
const TEXTS: ReadonlyMap<string, string> = new Map([
  ['step', 'beat'],
  ['stepAshore', 'step ashore'],
  ['stepAboard', 'step aboard'],
  ['letGo', 'let go'],
  ['steerFor', 'steer for'],
]);

/** An order by the parameters it had: a paddle and gates were one order to a lock, a line was passed to a mark. */
function orderAsItWas(order: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> {
  switch (order.do) {
    case 'paddle': {
      const { lock, by, paddle, to } = order;
      return 'lock' in order ? { do: 'lock', lock, by, order: { do: 'wind', paddle, to } } : order;
    }
    case 'gates': {
      const { lock, by, end, leaf, to } = order;
      if (!('lock' in order)) return order;
      const one = leaf === 'both' ? {} : { leaf };
      return { do: 'lock', lock, by, order: { do: 'gates', end, to, ...one } };
    }
    case 'pass': {
      const { to, ...rest } = order;
      return 'mark' in order ? order : { ...rest, mark: to };
    }
    case 'joystick': {
      const { ahead, sideways, twist } = order;
      return { do: 'joystick', surge: ahead, sway: sideways, yaw: twist };
    }
    default:
      return order;
  }
}

const word = new DataView(new ArrayBuffer(8));

/** Two multiplicative hashes of 32 bits side by side, over 32-bit words. */
class Hash {
  private low = 0x811c9dc5;
  private high = 0x9747b28c;

  private word(value: number): void {
    this.low = Math.imul(this.low ^ value, 0x01000193);
    this.high = Math.imul(this.high ^ value, 0x5bd1e995);
    this.high ^= this.high >>> 15;
  }

  number(value: number): void {
    // Engines may keep other bits in a NaN.
    word.setFloat64(0, Number.isNaN(value) ? 0 : value);
    this.word(word.getInt32(0));
    this.word(word.getInt32(4) ^ (Number.isNaN(value) ? 0x7ff80000 : 0));
  }

  text(value: string): void {
    this.word(value.length);
    for (let i = 0; i < value.length; i++) this.word(value.charCodeAt(i));
  }

  /** Any value made of records, lists, numbers and texts; a record by the order of its keys. */
  value(value: unknown): void {
    if (typeof value === 'number') return this.number(value);
    if (typeof value !== 'object' || value === null)
      return this.text(TEXTS.get(String(value)) ?? String(value));
    if (Array.isArray(value) || value instanceof Float64Array) {
      this.word(value.length);
      for (let i = 0; i < value.length; i++) this.value(value[i]);
      return;
    }
    const record = orderAsItWas(value as Readonly<Record<string, unknown>>);
    const under = (key: string) => KEYS.get(key) ?? key;
    for (const key of Object.keys(record).sort((a, b) => (under(a) < under(b) ? -1 : 1))) {
      if (record[key] === undefined) continue;
      this.text(under(key));
      this.value(record[key]);
    }
  }

  toString(): string {
    return [this.high, this.low].map((n) => (n >>> 0).toString(16).padStart(8, '0')).join('');
  }
}

function hashOf(value: unknown): string {
  const hash = new Hash();
  hash.value(value);
  return hash.toString();
}

export function fingerprintOf(run: Run): Fingerprint {
  const { outcome, duration, trace, steps, events, touches, margins, goal, clearance } = run;
  return {
    outcome,
    samples: trace.time.length,
    trace: hashOf(namedColumns(trace)),
    events: hashOf({ duration, steps, events }),
    margins: hashOf({ touches, margins, goal, clearance }),
  };
}
