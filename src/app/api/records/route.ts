import { NextResponse } from 'next/server';
import { z } from 'zod';
import { keepRecord, library, listRecords, openManoeuvre } from '@/db';
import { oneOf, idSchema } from '@/document';
import { readWith, RECORDING_IMPORTERS } from '@/io/importers';
import { recordOf } from '@/io/record';
import { MOST_BYTES, sentAs, textOf } from '../body';
import { missing, refuse, route } from '../define';
import { made, ofManoeuvre } from '../schemas';

export const dynamic = 'force-dynamic';

const keepSchema = z.strictObject({
  manoeuvre: idSchema,
  name: z.string().trim().min(1, { error: 'give it a name' }).max(80),
  source: oneOf(['file', 'feed']),
});

const NMEA = 'application/x-nmea0183';

export const GET = route(
  {
    says: 'Instrument records of a manoeuvre, in the order they were kept.',
    query: ofManoeuvre,
    answers: {
      200: z.array(z.object({ id: z.string(), name: z.string(), begins: z.string() })),
    },
  },
  ({ query }) => NextResponse.json(listRecords(library(), query.manoeuvre)),
);

export const POST = route(
  {
    says: 'Keeps a recording of NMEA 0183 sentences, for a manoeuvre.',
    query: keepSchema,
    sends: NMEA,
    answers: { 201: made },
  },
  async ({ request, query: { manoeuvre, name, source } }) => {
    const type = sentAs(request, NMEA);
    if (!type.ok) return refuse(422, type.problems);
    const opened = openManoeuvre(library(), manoeuvre);
    if (!opened) return missing(manoeuvre);
    if (!opened.ok) return refuse(422, opened.problems);
    const read = readWith(RECORDING_IMPORTERS, await textOf(request, MOST_BYTES.nmea), { name });
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
  },
);
