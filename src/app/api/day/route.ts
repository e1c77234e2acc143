import { NextResponse } from 'next/server';
import { z } from 'zod';
import { keptPlaces, library } from '@/db';
import { daySchema, idSchema } from '@/document';
import { dayAt, standInTides, standInWeather } from '@/services';
import { missing, refuse, route } from '../define';

export const dynamic = 'force-dynamic';

const askedSchema = z.strictObject({
  place: idSchema,
  date: z.iso.date({ error: "give a day of the calendar, as '2026-05-04'" }),
});

export const GET = route(
  {
    says: "Wind, level and current of a day at a kept place, by the place's own clocks.",
    query: askedSchema,
    answers: { 200: daySchema },
  },
  async ({ query }) => {
    const place = keptPlaces.open(library(), query.place);
    if (!place) return missing(query.place, 'place');
    if (!place.ok) return refuse(422, place.problems);
    const day = await dayAt(place.value.document, query.date, standInWeather, standInTides);
    return day.ok ? NextResponse.json(day.value) : refuse(422, day.problems);
  },
);
