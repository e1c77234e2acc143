import { NextResponse } from 'next/server';
import { z } from 'zod';
import { oneOf } from '@/document';

/** By which light a picture is to be looked at. */
export const lightSchema = z.strictObject({ by: oneOf(['day', 'night']).default('day') });
export type Light = z.infer<typeof lightSchema>;

export const SVG = 'image/svg+xml';

export const picture = (svg: string) => new NextResponse(svg, { headers: { 'content-type': SVG } });
