import type { Take } from '../score';

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
    if (typeof value !== 'object' || value === null) return this.text(String(value));
    if (Array.isArray(value) || value instanceof Float64Array) {
      this.word(value.length);
      for (let i = 0; i < value.length; i++) this.value(value[i]);
      return;
    }
    const record = value as Readonly<Record<string, unknown>>;
    for (const key of Object.keys(record).sort()) {
      if (record[key] === undefined) continue;
      this.text(key);
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

export function fingerprintOf(take: Take): Fingerprint {
  const { outcome, duration, trace, beats, events, touches, margins, goal, clearance } = take;
  return {
    outcome,
    samples: trace.time.length,
    trace: hashOf(trace),
    events: hashOf({ duration, beats, events }),
    margins: hashOf({ touches, margins, goal, clearance }),
  };
}
