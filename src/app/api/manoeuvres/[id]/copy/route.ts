import { NextResponse } from 'next/server';
import { copyManoeuvre, library } from '@/db';
import { missing, route } from '../../../define';
import { made } from '../../../schemas';

export const POST = route(
  { says: 'A second manoeuvre like it, under a title and id of its own.', answers: { 201: made } },
  ({ id }) => {
    const copy = copyManoeuvre(library(), id, Date.now());
    return copy ? NextResponse.json({ id: copy }, { status: 201 }) : missing(id);
  },
);
