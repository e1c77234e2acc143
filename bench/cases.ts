import { join } from 'node:path';
import { readDemo } from '@/db';
import { toFile, type ManoeuvreFile } from '@/document';

/** The demo manoeuvres made to last 120 s, and one that lies pressed against the pontoon all the while. */
export function benchCases(): { name: string; file: ManoeuvreFile }[] {
  const demo = readDemo(join(process.cwd(), 'demo'));
  const whole = (id: string) => {
    const manoeuvre = demo.manoeuvres.find((m) => m.id === id)!;
    const boat = demo.boats.find((b) => b.id === manoeuvre.boatId)!;
    const place = demo.places.find((p) => p.id === manoeuvre.placeId)!;
    return toFile(manoeuvre, boat, place);
  };
  const leaving = whole('off-stilt-pontoon');
  const coming = whole('alongside-wind-off');
  const end = { cue: { is: 'after', seconds: 600 }, within_s: 900 } as const;
  const first = leaving.score.beats[0]!;
  return [
    {
      name: 'out past the ketch, 120 s',
      file: { ...leaving, limit_s: 120, score: { ...leaving.score, end } },
    },
    {
      name: 'alongside, 120 s',
      file: { ...coming, limit_s: 120, score: { ...coming.score, end } },
    },
    {
      name: 'blown on to the pontoon, 120 s on fenders',
      file: {
        ...leaving,
        limit_s: 120,
        conditions: { ...leaving.conditions, wind: { from_deg: 170, speed_mps: 10 } },
        score: { beats: [{ ...first, expect: [] }], end },
      },
    },
  ];
}
