import { DefaultPacketFactory, parseGenericPacket, type Packet } from 'nmea-simple';
import { MPS_PER_KNOT } from '@/core/units';
import { failure, success, type Result } from '@/document';

/** Largest recording read, characters: about twelve hours of a busy bus. */
export const MOST_NMEA = 20_000_000;
const MOST_FIXES = 40_000;
/** Longest sentence the standard allows, with some room for talkers that do not keep to it. */
const MOST_SENTENCE = 120;
/** Two positions further apart than anything that floats goes in the time between are not both right, m/s. */
const MOST_SPEED_MPS = 40;

/** One position with whatever else was told since the one before; SI, degrees, null for not told. */
export interface NmeaFix {
  /** Seconds since 1970 UTC. */
  readonly at: number;
  readonly lat_deg: number;
  readonly lon_deg: number;
  /** Over ground. */
  readonly sog_mps: number | null;
  readonly cog_deg: number | null;
  /** True, if variation was told or the compass gives it. */
  readonly heading_deg: number | null;
  /** Through the water. */
  readonly stw_mps: number | null;
  /** Apparent wind: angle off the bow to starboard, and speed. */
  readonly windAngle_deg: number | null;
  readonly wind_mps: number | null;
  readonly depth_m: number | null;
}

/** What became of the sentences of a recording. */
export interface NmeaCounts {
  readonly sentences: number;
  readonly used: number;
  /** Left out, by why. */
  readonly bad: Readonly<Record<string, number>>;
  /** Sound, but of no use here, by type. */
  readonly unused: Readonly<Record<string, number>>;
}

export interface NmeaRecord {
  readonly fixes: readonly NmeaFix[];
  readonly counts: NmeaCounts;
}

/** Types that tell something used here. */
const USED = new Set(['RMC', 'GGA', 'GLL', 'VTG', 'HDT', 'HDG', 'HDM', 'VHW', 'MWV', 'DBT', 'DPT']);

/** Depth under the transducer and, where it is set so, over it to the surface (positive) or under it to the keel. */
interface DepthPacket {
  readonly sentenceId: 'DPT';
  readonly depth_m: number;
  readonly offset_m: number;
}

/** The package's own, and the depth sentence it does not know. */
class Factory extends DefaultPacketFactory<DepthPacket> {
  override assembleCustomPacket(
    stub: { sentenceId?: string },
    fields: string[],
  ): DepthPacket | null {
    if (stub.sentenceId !== 'DPT') return null;
    const offset_m = Number(fields[2] ?? '');
    return {
      sentenceId: 'DPT',
      depth_m: Number(fields[1] === '' ? NaN : fields[1]),
      offset_m: Number.isFinite(offset_m) ? offset_m : 0,
    };
  }
}
const FACTORY = new Factory();
type AnyPacket = Packet | DepthPacket;

/** Fields that have to be there, by type: the package reads an empty one as nought. */
const WANTED: Readonly<Record<string, readonly number[]>> = {
  RMC: [1, 3, 5, 9],
  GGA: [1, 2, 4],
  GLL: [1, 3, 5],
  VTG: [5],
  HDT: [1],
  HDG: [1],
  HDM: [1],
  VHW: [5],
  MWV: [1, 3],
  DBT: [3],
  DPT: [1],
};

type SentenceFields = Omit<NmeaFix, 'at' | 'lat_deg' | 'lon_deg'>;
const NOTHING: SentenceFields = {
  sog_mps: null,
  cog_deg: null,
  heading_deg: null,
  stw_mps: null,
  windAngle_deg: null,
  wind_mps: null,
  depth_m: null,
};

const count = (of: Record<string, number>, what: string) => {
  of[what] = (of[what] ?? 0) + 1;
};
const sound = (value: number | undefined, least: number, most: number): value is number =>
  value !== undefined && Number.isFinite(value) && value >= least && value <= most;

const SPEED_UNITS = { K: 1 / 3.6, M: 1, N: MPS_PER_KNOT } as const;

/** Gathers what sentences tell between one position and the next. */
class Gathering {
  readonly fixes: NmeaFix[] = [];
  private told: SentenceFields = NOTHING;
  private variation_deg = 0;
  /** Date of the last sentence that had one, ms at its midnight. */
  private day: number | null = null;

  /** What is wrong with a packet; null where it was taken. */
  run(packet: AnyPacket, fields: readonly string[]): string | null {
    switch (packet.sentenceId) {
      case 'RMC': {
        if (packet.status !== 'valid') return 'no fix';
        const at = packet.datetime.getTime() / 1000;
        if (!Number.isFinite(at)) return 'no time';
        this.day = Math.floor(at / 86_400) * 86_400;
        if (fields[10] && sound(packet.variation, 0, 90))
          this.variation_deg = packet.variation * (packet.variationPole === 'W' ? -1 : 1);
        if (fields[7] && sound(packet.speedKnots, 0, 120))
          this.tell({ sog_mps: packet.speedKnots * MPS_PER_KNOT });
        if (fields[8] && sound(packet.trackTrue, 0, 360)) this.tell({ cog_deg: packet.trackTrue });
        return this.fix(at, packet.latitude, packet.longitude);
      }
      case 'GGA':
        return packet.fixType === 'none' ? 'no fix' : this.timed(packet);
      case 'GLL':
        return packet.status === 'valid' ? this.timed(packet) : 'no fix';
      case 'VTG':
        if (!sound(packet.speedKnots, 0, 120)) return 'out of range';
        this.tell({ sog_mps: packet.speedKnots * MPS_PER_KNOT });
        if (fields[1] && sound(packet.trackTrue, 0, 360)) this.tell({ cog_deg: packet.trackTrue });
        return null;
      case 'HDT':
        return this.heading(packet.heading, 0);
      case 'HDM':
        return this.heading(packet.heading, this.variation_deg);
      case 'HDG': {
        const own =
          fields[4] && sound(packet.variation, 0, 90)
            ? packet.variation * (packet.variationDirection === 'W' ? -1 : 1)
            : this.variation_deg;
        const off =
          fields[2] && sound(packet.deviation, 0, 90)
            ? packet.deviation * (packet.deviationDirection === 'W' ? -1 : 1)
            : 0;
        return this.heading(packet.heading, own + off);
      }
      case 'VHW':
        if (!sound(packet.speedKnots, -60, 120)) return 'out of range';
        this.tell({ stw_mps: packet.speedKnots * MPS_PER_KNOT });
        return null;
      case 'MWV':
        if (packet.status !== 'valid') return 'not valid';
        if (packet.reference !== 'relative') return null;
        if (!sound(packet.windAngle, 0, 360) || !sound(packet.speed, 0, 400)) return 'out of range';
        this.tell({
          windAngle_deg: packet.windAngle,
          wind_mps: packet.speed * SPEED_UNITS[packet.units],
        });
        return null;
      case 'DBT':
        if (!sound(packet.depthMeters, 0, 12_000)) return 'out of range';
        this.tell({ depth_m: packet.depthMeters });
        return null;
      case 'DPT':
        if (!sound(packet.depth_m, 0, 12_000)) return 'out of range';
        this.tell({ depth_m: Math.max(0, packet.depth_m + packet.offset_m) });
        return null;
      default:
        return null;
    }
  }

  private tell(part: Partial<SentenceFields>): void {
    this.told = { ...this.told, ...part };
  }

  private heading(compass: number, by: number): string | null {
    if (!sound(compass, 0, 360)) return 'out of range';
    this.tell({ heading_deg: (compass + by + 360) % 360 });
    return null;
  }

  /** A position with a time of day only: of the day last told, or the next where the clock has gone past midnight. */
  private timed({
    time,
    latitude,
    longitude,
  }: {
    time: Date;
    latitude: number;
    longitude: number;
  }) {
    const of = time.getTime() / 1000;
    if (!Number.isFinite(of)) return 'no time';
    const clock = ((of % 86_400) + 86_400) % 86_400;
    const day = this.day ?? Math.floor(of / 86_400) * 86_400;
    const last = this.fixes.at(-1)?.at ?? -Infinity;
    const at = day + clock;
    return this.fix(at < last - 43_200 ? at + 86_400 : at, latitude, longitude);
  }

  private fix(at: number, lat_deg: number, lon_deg: number): string | null {
    if (!sound(lat_deg, -90, 90) || !sound(lon_deg, -180, 180)) return 'no position';
    const last = this.fixes.at(-1);
    if (last && at < last.at) return 'out of its time';
    if (last && Math.abs(at - last.at) < 0.02) {
      // The same moment told by two sentences is one position.
      this.fixes[this.fixes.length - 1] = { ...last, ...known(this.told) };
      this.told = NOTHING;
      return null;
    }
    if (last && tooFar(last, { lat_deg, lon_deg }, at - last.at)) return 'a leap';
    this.fixes.push({ at, lat_deg, lon_deg, ...this.told });
    this.told = NOTHING;
    return null;
  }
}

const known = (told: SentenceFields): Partial<SentenceFields> =>
  Object.fromEntries(Object.entries(told).filter(([, value]) => value !== null));

function tooFar(
  a: { readonly lat_deg: number; readonly lon_deg: number },
  b: { readonly lat_deg: number; readonly lon_deg: number },
  seconds: number,
): boolean {
  const north = (b.lat_deg - a.lat_deg) * 111_195;
  const east = (b.lon_deg - a.lon_deg) * 111_195 * Math.cos((a.lat_deg * Math.PI) / 180);
  return Math.hypot(north, east) > 60 + MOST_SPEED_MPS * seconds;
}

/** Type of a sentence by its first field: the last three letters of it. */
const typeOf = (line: string) => /^[$!][A-Z]{1,3}([A-Z]{3})[,*]/.exec(line)?.[1] ?? null;

const STAMP = /^[^$!]{0,60}(?=[$!])/;

/**
 * Reads a recording of NMEA 0183 sentences, one a line, time stamps before the sentence passed over. Sentences that are broken are
 * counted by why and left out, not fatal; those of no use are counted by type. A recording without any position that has a time is
 * refused.
 */
export function readNmea(text: string): Result<NmeaRecord> {
  if (text.length > MOST_NMEA)
    return failure({
      path: '(file)',
      message: `is longer than ${MOST_NMEA / 1e6} million characters; cut out the manoeuvre`,
    });
  const gathering = new Gathering();
  const bad: Record<string, number> = {};
  const unused: Record<string, number> = {};
  let sentences = 0;
  let used = 0;
  for (const raw of text.split(/\r\n|\n|\r/)) {
    const line = raw.replace(STAMP, '').trim();
    if (line === '') continue;
    sentences += 1;
    if (gathering.fixes.length >= MOST_FIXES) {
      count(bad, `after ${MOST_FIXES} positions`);
      continue;
    }
    const type = typeOf(line);
    if (!type || line.length > MOST_SENTENCE) {
      count(bad, 'no sentence');
      continue;
    }
    if (!/\*[0-9A-Fa-f]{2}$/.test(line)) {
      count(bad, 'cut off or without a checksum');
      continue;
    }
    if (!USED.has(type)) {
      count(unused, type);
      continue;
    }
    const fields = line.split('*')[0]!.split(',');
    const packet = parsed(line);
    const empty = WANTED[type]!.some((i) => !fields[i]);
    const wrong = !packet ? 'checksum' : empty ? 'empty' : gathering.run(packet, fields);
    if (wrong) count(bad, wrong);
    else used += 1;
  }
  const { fixes } = gathering;
  if (fixes.length < 2)
    return failure({
      path: '(file)',
      message: `has no track: of ${sentences} lines ${fixes.length === 1 ? 'one tells' : 'none tell'} a position with a time; it wants RMC, or GGA or GLL, and some seconds of them`,
    });
  return success({ fixes, counts: { sentences, used, bad, unused } });
}

function parsed(line: string): AnyPacket | null {
  try {
    return parseGenericPacket<AnyPacket | null>(line, FACTORY);
  } catch {
    return null;
  }
}
