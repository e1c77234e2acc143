import * as rBoatsOneFile from '@/app/api/boats/[id]/file/route';
import * as rBoatsOne from '@/app/api/boats/[id]/route';
import * as rBoats from '@/app/api/boats/route';
import * as rDay from '@/app/api/day/route';
import * as rFeed from '@/app/api/feed/route';
import * as rTechniquesOne from '@/app/api/techniques/[id]/route';
import * as rTechniques from '@/app/api/techniques/route';
import * as rLibraryArchivesOne from '@/app/api/library/archives/[id]/route';
import * as rLibraryArchives from '@/app/api/library/archives/route';
import * as rLibraryBackupsOne from '@/app/api/library/backups/[id]/route';
import * as rLibraryBackups from '@/app/api/library/backups/route';
import * as rLibrary from '@/app/api/library/route';
import * as rManoeuvresOneCopy from '@/app/api/manoeuvres/[id]/copy/route';
import * as rManoeuvresOneFile from '@/app/api/manoeuvres/[id]/file/route';
import * as rManoeuvresOneOpened from '@/app/api/manoeuvres/[id]/opened/route';
import * as rManoeuvresOnePicture from '@/app/api/manoeuvres/[id]/picture/route';
import * as rManoeuvresOneResult from '@/app/api/manoeuvres/[id]/result/route';
import * as rManoeuvresOne from '@/app/api/manoeuvres/[id]/route';
import * as rManoeuvresBeginPassage from '@/app/api/manoeuvres/begin-passage/route';
import * as rManoeuvresBegin from '@/app/api/manoeuvres/begin/route';
import * as rManoeuvres from '@/app/api/manoeuvres/route';
import * as rPlacesOneFile from '@/app/api/places/[id]/file/route';
import * as rPlacesOnePicture from '@/app/api/places/[id]/picture/route';
import * as rPlacesOne from '@/app/api/places/[id]/route';
import * as rPlaces from '@/app/api/places/route';
import * as rRecordsOne from '@/app/api/records/[id]/route';
import * as rRecords from '@/app/api/records/route';
import * as rRunsOneFile from '@/app/api/runs/[id]/file/route';
import * as rRunsOne from '@/app/api/runs/[id]/route';
import * as rRuns from '@/app/api/runs/route';
import * as rRunsSummaries from '@/app/api/runs/summaries/route';
import * as rWorkOne from '@/app/api/work/[id]/route';
import {
  boatSchema,
  conditionsSchema,
  drivenFileSchema,
  manoeuvreFileSchema,
  manoeuvreSchema,
  ownTechniqueSchema,
  placeSchema,
  recordingSchema,
  recordSchema,
  runSummarySchema,
} from '@/document';
import { z } from 'zod';
import type { Spec } from '@/app/api/define';

/** Every route of the server by its path; a test holds that none is missing. */
export const ROUTES: Readonly<Record<string, object>> = {
  '/api/boats/{id}/file': rBoatsOneFile,
  '/api/boats/{id}': rBoatsOne,
  '/api/boats': rBoats,
  '/api/day': rDay,
  '/api/feed': rFeed,
  '/api/techniques/{id}': rTechniquesOne,
  '/api/techniques': rTechniques,
  '/api/library/archives/{id}': rLibraryArchivesOne,
  '/api/library/archives': rLibraryArchives,
  '/api/library/backups/{id}': rLibraryBackupsOne,
  '/api/library/backups': rLibraryBackups,
  '/api/library': rLibrary,
  '/api/manoeuvres/{id}/copy': rManoeuvresOneCopy,
  '/api/manoeuvres/{id}/file': rManoeuvresOneFile,
  '/api/manoeuvres/{id}/opened': rManoeuvresOneOpened,
  '/api/manoeuvres/{id}/picture': rManoeuvresOnePicture,
  '/api/manoeuvres/{id}/result': rManoeuvresOneResult,
  '/api/manoeuvres/{id}': rManoeuvresOne,
  '/api/manoeuvres/begin-passage': rManoeuvresBeginPassage,
  '/api/manoeuvres/begin': rManoeuvresBegin,
  '/api/manoeuvres': rManoeuvres,
  '/api/places/{id}/file': rPlacesOneFile,
  '/api/places/{id}/picture': rPlacesOnePicture,
  '/api/places/{id}': rPlacesOne,
  '/api/places': rPlaces,
  '/api/records/{id}': rRecordsOne,
  '/api/records': rRecords,
  '/api/runs/{id}/file': rRunsOneFile,
  '/api/runs/{id}': rRunsOne,
  '/api/runs': rRuns,
  '/api/runs/summaries': rRunsSummaries,
  '/api/work/{id}': rWorkOne,
};

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;

/** Documents that have a schema file of their own, by where that is from docs/openapi.json. */
const FILES: ReadonlyMap<unknown, string> = new Map<unknown, string>([
  [boatSchema, 'formats/boat.schema.json'],
  [placeSchema, 'formats/place.schema.json'],
  [manoeuvreSchema, 'formats/manoeuvre.schema.json'],
  [manoeuvreFileSchema, 'formats/manoeuvre-file.schema.json'],
  [drivenFileSchema, 'formats/driven.schema.json'],
  [recordSchema, 'formats/record.schema.json'],
  [runSummarySchema, 'formats/run-summary.schema.json'],
]);

/** Parts that several routes share. */
const SHARED: Readonly<Record<string, z.ZodType>> = {
  recording: recordingSchema,
  technique: ownTechniqueSchema,
  conditions: conditionsSchema,
};
const PARTS: ReadonlyMap<unknown, string> = new Map(
  Object.entries(SHARED).map(([name, schema]) => [schema, `#/components/schemas/${name}`]),
);

/** A schema as OpenAPI 3.1 has it: JSON Schema, of what is sent or of what comes back; shared ones by where they are. */
const schemaOf = (schema: z.ZodType, io: 'input' | 'output', itself = false) => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, {
    io,
    unrepresentable: 'any',
    override: ({ zodSchema, jsonSchema }) => {
      const $ref = FILES.get(zodSchema) ?? (itself ? undefined : PARTS.get(zodSchema));
      if (!$ref) return;
      for (const key of Object.keys(jsonSchema)) Reflect.deleteProperty(jsonSchema, key);
      jsonSchema.$ref = $ref;
    },
  }) as Record<string, unknown>;
  return rest;
};

const PROBLEMS = {
  description: 'What is wrong, in words: where, and what to do about it.',
  content: {
    'application/json': {
      schema: {
        type: 'object',
        properties: {
          problems: {
            type: 'array',
            items: {
              type: 'object',
              properties: { path: { type: 'string' }, message: { type: 'string' } },
              required: ['path', 'message'],
            },
          },
        },
        required: ['problems'],
      },
    },
  },
};

function answerOf(answer: z.ZodType | string | null) {
  if (answer === null) return { description: 'Done.' };
  if (typeof answer !== 'string')
    return {
      description: 'Done.',
      content: { 'application/json': { schema: schemaOf(answer, 'output') } },
    };
  const content = Object.fromEntries(answer.split(', ').map((type) => [type, {}]));
  return { description: 'A file.', content };
}

function parametersOf(path: string, { query }: Spec<unknown, unknown>) {
  const id = path.includes('{id}')
    ? [{ name: 'id', in: 'path', required: true, schema: { type: 'string' } }]
    : [];
  if (!query) return id;
  const { properties = {}, required = [] } = schemaOf(query, 'input') as {
    properties?: Record<string, unknown>;
    required?: string[];
  };
  const asked = Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
  }));
  return [...id, ...asked];
}

function operationOf(path: string, spec: Spec<unknown, unknown>) {
  const content = spec.body
    ? { 'application/json': { schema: schemaOf(spec.body, 'input') } }
    : spec.sends
      ? { [spec.sends]: {} }
      : null;
  const refusals = ['403', '404', '413', '421', '422', '500', '503', '507'];
  return {
    summary: spec.says,
    parameters: parametersOf(path, spec),
    ...(content ? { requestBody: { required: true, content } } : {}),
    responses: {
      ...Object.fromEntries(
        Object.entries(spec.answers).map(([status, answer]) => [status, answerOf(answer)]),
      ),
      ...Object.fromEntries(
        refusals.map((status) => [status, { $ref: '#/components/responses/Problems' }]),
      ),
    },
  };
}

/** The description of every route, made from what it checks with. */
export function openApi(version: string): object {
  const paths = Object.entries(ROUTES).map(([path, module]) => {
    const operations = METHODS.flatMap((method) => {
      const route = (module as Record<string, { spec?: Spec<unknown, unknown> } | undefined>)[
        method
      ];
      return route?.spec ? [[method.toLowerCase(), operationOf(path, route.spec)]] : [];
    });
    return [path, Object.fromEntries(operations) as object];
  });
  return {
    openapi: '3.1.0',
    info: {
      title: 'Yawtrope',
      version,
      description:
        'The routes of the server on 127.0.0.1. Made by npm run openapi from the schemas they check with.',
    },
    paths: Object.fromEntries(paths) as object,
    components: {
      schemas: Object.fromEntries(
        Object.entries(SHARED).map(([name, schema]) => [name, schemaOf(schema, 'input', true)]),
      ),
      responses: { Problems: PROBLEMS },
    },
  };
}
