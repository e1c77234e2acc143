import { NextResponse } from 'next/server';
import { z } from 'zod';
import { keepRecord, library, listRecords, openManoeuvre } from '@/db';
import { check, idSchema } from '@/document';
import { MOST_NMEA, readNmea } from '@/io/nmea0183';
import { recordOf } from '@/io/record';
import { missing, refuse } from '../respond';

export const dynamic = 'force-dynamic';

const askedSchema = z.strictObject({
  manoeuvre: idSchema,
  name: z.string().trim().min(1, { error: 'give it a name' }).max(80),
  source: z.enum(['file', 'feed'], { error: "say 'file' or 'feed'" }),
});

/** Instrument records of a manoeuvre: `?manoeuvre=ID`. */
export function GET(request: Request) {
  const asked = idSchema.safeParse(new URL(request.url).searchParams.get('manoeuvre'));
  if (!asked.success)
    return refuse(422, [{ path: 'manoeuvre', message: 'say of which manoeuvre, by its id' }]);
  return NextResponse.json(listRecords(library(), asked.data));
}

/** Keeps a recording of NMEA 0183 sentences sent as text, for a manoeuvre. 201 with its id, 404, 422 with problems. */
export async function POST(request: Request) {
  const asked = check<z.infer<typeof askedSchema>>(
    askedSchema,
    Object.fromEntries(new URL(request.url).searchParams),
  );
  if (!asked.ok) return refuse(422, asked.problems);
  const { manoeuvre, name, source } = asked.value;
  // Other sites' forms cannot send this type.
  if (request.headers.get('content-type') !== 'application/x-nmea0183')
    return refuse(422, [{ path: '(request)', message: 'send it as application/x-nmea0183' }]);
  if (Number(request.headers.get('content-length')) > MOST_NMEA)
    return refuse(422, [{ path: '(file)', message: `is larger than ${MOST_NMEA / 1e6} MB` }]);
  const opened = openManoeuvre(library(), manoeuvre);
  if (!opened) return missing(manoeuvre);
  if (!opened.ok) return refuse(422, opened.problems);
  const read = readNmea(await request.text());
  if (!read.ok) return refuse(422, read.problems);
  const record = recordOf(read.value, opened.value.place, {
    id: crypto.randomUUID(),
    manoeuvreId: manoeuvre,
    name,
    source,
  });
  if (!record.ok) return refuse(422, record.problems);
  return keepRecord(library(), record.value, Date.now())
    ? NextResponse.json({ id: record.value.id }, { status: 201 })
    : missing(manoeuvre);
}
