import { z } from 'zod';
import { dataDirectory, library, openRun } from '@/db';
import { formatsOf, RUN_EXPORTERS } from '@/io/exporters';
import { runJob } from '@/jobs';
import { download, missing, refuse, route } from '../../../define';

const querySchema = z.object({
  as: z.enum(formatsOf(RUN_EXPORTERS), { error: "say 'json', 'csv' or 'gpx'" }).default('json'),
});

export const GET = route(
  {
    says: 'A driven run as a file: whole as JSON, its samples as CSV, or its track as GPX.',
    query: querySchema,
    answers: { 200: 'application/json, text/csv, application/gpx+xml' },
  },
  async ({ id, query: { as }, request }) => {
    const opened = openRun(library(), id);
    if (!opened) return missing(id, 'run');
    if (!opened.ok) return refuse(500, opened.problems);
    const { file } = opened.value;
    const name = `${file.manoeuvre.id}-${id.slice(0, 8)}`;
    if (as === 'json')
      return download(
        JSON.stringify(file, null, 2),
        'application/json',
        `${name}.yawtrope-run.json`,
      );
    const made = await runJob(
      'exportRun',
      { directory: dataDirectory(), id, as },
      { signal: request.signal },
    );
    if (!made.ok) return refuse(422, made.problems);
    const { type, ending } = RUN_EXPORTERS[as];
    return download(made.value, type, `${name}.${ending}`);
  },
);
