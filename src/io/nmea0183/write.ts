import { encodeNmeaPacket, type Packet } from 'nmea-simple';
import { Random } from '@/core/math';
import { apparentWind } from '@/core/monitors';
import type { Environment, Trace } from '@/core/simulation';
import { DEGREES_PER_RADIAN, M_PER_FOOT, MPS_PER_KNOT } from '@/core/units';
import { onGlobe } from '../run/gpx';
import type { Place } from '@/document';

/** Samples of a run between two positions: one a second, as finely as the sentences written here tell the time. */
const EVERY = 10;
/** What a small satellite receiver and a fluxgate err by, one deviation: m, degrees. */
const POSITION_M = 0.5;
const HEADING_DEG = 1.2;
/** What a vane and cups at the masthead err by in a boat that moves about, one deviation: degrees, a share. */
const VANE_DEG = 4;
const CUPS = 0.05;
/** The receiver's error wanders: so much of it is the last one's. */
const WANDERS = 0.97;
/** One sentence in so many is spoilt on the way, as on a real bus. */
const SPOILT = 60;

const wrap = (degrees: number) => ((degrees % 360) + 360) % 360;

/** What instruments aboard would have said of a run, as sentences with when they were said, s from its start. */
export function* feedSentences(
  trace: Trace,
  origin: NonNullable<Place['origin']>,
  begins: Date,
  seed: number,
  environment: Environment | null = null,
): Generator<{ readonly at: number; readonly line: string }> {
  const random = new Random(seed);
  let east = 0;
  let north = 0;
  for (let i = 0; i < trace.time.length; i += EVERY) {
    const at = trace.time[i]!;
    const fresh = POSITION_M * Math.sqrt(1 - WANDERS * WANDERS);
    east = WANDERS * east + fresh * random.normal();
    north = WANDERS * north + fresh * random.normal();
    const { lat, lon } = onGlobe(origin, trace.x[i]! + east, trace.y[i]! + north);
    const next = Math.min(i + 1, trace.time.length - 1);
    const before = Math.max(0, i - 1);
    const track = Math.atan2(trace.x[next]! - trace.x[before]!, trace.y[next]! - trace.y[before]!);
    const speed = trace.groundSpeed[i]! + 0.03 * random.normal();
    const depth = trace.underKeel?.[i];
    const heading = wrap(trace.heading[i]! * DEGREES_PER_RADIAN + HEADING_DEG * random.normal());
    const stub = { talkerId: 'II', sentenceName: '' };
    const depths =
      depth !== undefined && depth > 0 && depth < 200
        ? [
            {
              ...stub,
              sentenceId: 'DBT' as const,
              depthFeet: depth / M_PER_FOOT,
              depthMeters: depth,
              depthFathoms: depth / (6 * M_PER_FOOT),
            },
          ]
        : [];
    const told = environment && apparentWind(trace, i, environment);
    const winds = told
      ? [
          {
            ...stub,
            sentenceId: 'MWV' as const,
            windAngle: wrap(told.angle * DEGREES_PER_RADIAN + VANE_DEG * random.normal()),
            reference: 'relative' as const,
            speed: (told.speed / MPS_PER_KNOT) * Math.max(0, 1 + CUPS * random.normal()),
            units: 'N' as const,
            status: 'valid' as const,
          },
        ]
      : [];
    const packets: Packet[] = [
      { ...stub, sentenceId: 'HDT', heading },
      ...depths,
      ...winds,
      {
        ...stub,
        sentenceId: 'VTG',
        trackTrue: wrap(track * DEGREES_PER_RADIAN),
        trackMagnetic: wrap(track * DEGREES_PER_RADIAN),
        speedKnots: Math.max(0, speed / MPS_PER_KNOT),
        speedKmph: Math.max(0, speed * 3.6),
      },
      {
        ...stub,
        sentenceId: 'GGA',
        time: new Date(begins.getTime() + 1000 * at),
        latitude: lat,
        longitude: lon,
        fixType: 'fix',
        satellitesInView: 9,
        horizontalDilution: 0.9,
        altitudeMeters: 0,
        geoidalSeperation: 0,
      },
    ];
    for (const packet of packets) {
      const line = encodeNmeaPacket(packet, packet.sentenceId === 'GGA' ? 'GP' : 'II');
      const spoilt = random.uniform() < 1 / SPOILT;
      yield { at, line: spoilt ? line.slice(0, Math.ceil(line.length * 0.6)) : line };
    }
  }
}
