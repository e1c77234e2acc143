import type { LineState } from '@/core/plan';
import type { ExpectationDocument } from '@/document';
import { lengthFrom, lengthIn, speedFrom, speedIn, tidy, type Units } from '../words/units';

export interface ExpectRow {
  is: ExpectationDocument['is'];
  at: 'next' | 'after';
  after: number;
  heading: number;
  headingWithin: number;
  over: 'water' | 'ground';
  least: number;
  most: number;
  to: 'port' | 'starboard';
  clear: number;
  point: string;
  mark: string;
  distance: number;
  line: string;
  state: LineState;
}

export function freshExpect(point: string, mark: string, line = ''): ExpectRow {
  return {
    is: 'clear',
    at: 'next',
    after: 5,
    heading: 0,
    headingWithin: 10,
    over: 'water',
    least: 0,
    most: 3,
    to: 'starboard',
    clear: 1,
    point,
    mark,
    distance: 2,
    line,
    state: 'fast',
  };
}

export function expectRow(e: ExpectationDocument, fresh: ExpectRow, units: Units): ExpectRow {
  const row: ExpectRow = {
    ...fresh,
    is: e.is,
    at: e.at === 'next' ? 'next' : 'after',
    after: e.at === 'next' ? fresh.after : e.at.after_s,
  };
  switch (e.is) {
    case 'heading':
      return { ...row, heading: e.heading_deg, headingWithin: e.within_deg };
    case 'speed':
      return {
        ...row,
        over: e.over,
        least: tidy(speedIn(e.least_mps, units.speed)),
        most: tidy(speedIn(e.most_mps, units.speed)),
      };
    case 'turning':
      return { ...row, to: e.to };
    case 'clear':
      return { ...row, clear: tidy(lengthIn(e.least_m, units.length)) };
    case 'line':
      return { ...row, line: e.line, state: e.state };
    case 'near':
      return {
        ...row,
        point: e.point,
        mark: e.mark,
        distance: tidy(lengthIn(e.within_m, units.length)),
      };
  }
}

export function expectFrom(row: ExpectRow, units: Units): ExpectationDocument {
  const at = row.at === 'next' ? 'next' : { after_s: row.after };
  switch (row.is) {
    case 'heading':
      return { is: 'heading', at, heading_deg: row.heading, within_deg: row.headingWithin };
    case 'speed':
      return {
        is: 'speed',
        at,
        over: row.over,
        least_mps: speedFrom(row.least, units.speed),
        most_mps: speedFrom(row.most, units.speed),
      };
    case 'turning':
      return { is: 'turning', at, to: row.to };
    case 'clear':
      return { is: 'clear', at, least_m: lengthFrom(row.clear, units.length) };
    case 'line':
      return { is: 'line', at, line: row.line, state: row.state };
    case 'near':
      return {
        is: 'near',
        at,
        point: row.point,
        mark: row.mark,
        within_m: lengthFrom(row.distance, units.length),
      };
  }
}
