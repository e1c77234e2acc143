import { NextResponse } from 'next/server';
import { library, openRecord, setRecordAside } from '@/db';
import { recordSchema } from '@/document';
import { done, missing, refuse, route } from '../../define';
import { bringBack } from '../../schemas';

export const GET = route(
  { says: 'An instrument record.', answers: { 200: recordSchema } },
  ({ id }) => {
    const opened = openRecord(library(), id);
    if (!opened) return missing(id, 'record');
    return opened.ok ? NextResponse.json(opened.value) : refuse(500, opened.problems);
  },
);

export const DELETE = route(
  { says: 'Removes a record; PATCH brings it back.', answers: { 204: null } },
  ({ id }) => (setRecordAside(library(), id, Date.now()) ? done() : missing(id, 'record')),
);

export const PATCH = route(
  { says: 'Brings a removed record back.', body: bringBack, answers: { 204: null } },
  ({ id }) => (setRecordAside(library(), id, null) ? done() : missing(id, 'record')),
);
