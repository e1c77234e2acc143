import { NextResponse } from 'next/server';
import { z } from 'zod';
import { keptPlaces, library } from '@/db';
import { check, idSchema } from '@/document';
import { dayAt, standInTides, standInWeather } from '@/services';
import { missing, refuse } from '../respond';

export const dynamic = 'force-dynamic';

const askedSchema = z.strictObject({
  place: idSchema,
  date: z.iso.date({ error: "give a day of the calendar, as '2026-05-04'" }),
});

/** Wind, level and stream of a day at a kept place, by the place's own clocks. 404 for none such, 422 with problems. */
export async function GET(request: Request) {
  const asked = check<z.infer<typeof askedSchema>>(
    askedSchema,
    Object.fromEntries(new URL(request.url).searchParams),
  );
  if (!asked.ok) return refuse(422, asked.problems);
  const place = keptPlaces.open(library(), asked.value.place);
  if (!place) return missing(asked.value.place, 'place');
  if (!place.ok) return refuse(422, place.problems);
  const day = await dayAt(place.value.document, asked.value.date, standInWeather, standInTides);
  return day.ok ? NextResponse.json(day.value) : refuse(422, day.problems);
}
