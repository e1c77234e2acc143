import { BEHAVIOURS, speaksOf, type Kind } from '@/core/trials/behaviours';
import { fleetCraft, FLEET_IDS } from '@/document/testing/fleet';
import { generatedOwners } from '@/document/testing/generated';
import { boatFromOwner, toBoatSpec, toOwnerFigures } from '@/document';
import { assembleCraft } from '@/core/boat';
import { FLEET } from './fleet';
const only = process.env.ROWS ? process.env.ROWS.split(',').map(Number) : null;
const verbose = !!process.env.V;
const QUINCE: Kind = {
  class: 'sailing yacht',
  length: 10.2,
  drive: 'shaft',
  engines: 1,
  blades: '3 fixed',
  keel: 'fin',
  rudders: 1,
};
const boats = [
  ...FLEET_IDS.map((id) => {
    const b = FLEET.find((f) => f.id === id);
    return {
      id,
      kind: b ? toOwnerFigures(b.owner) : QUINCE,
      craft:
        b && !!process.env.E
          ? assembleCraft(toBoatSpec(boatFromOwner(b.owner, { id, name: id, kind: '', note: '' })))
          : fleetCraft(id),
    };
  }),
  ...generatedOwners().map(({ id, owner }) => ({
    id,
    kind: toOwnerFigures(owner),
    craft: assembleCraft(toBoatSpec(boatFromOwner(owner, { id, name: id, kind: 'k', note: '' }))),
  })),
];
let all = 0,
  inAll = 0;
for (const row of BEHAVIOURS) {
  if (only && !only.includes(row.no)) continue;
  const t0 = performance.now();
  const found = boats
    .filter((b) => speaksOf(row, b.craft, b.kind))
    .map((b) => ({ id: b.id, v: row.measure(b.craft, b.kind) }));
  const inside = found.filter(({ v }) => v >= row.range[0] && v <= row.range[1]);
  all += found.length;
  inAll += inside.length;
  const sorted = found.map(({ v }) => v).sort((a, b) => a - b);
  const f = (x: number | undefined) => (x === undefined ? '-' : x.toFixed(2));
  console.log(
    `${inside.length < 0.85 * found.length ? '!' : ' '} ${String(row.no).padStart(2)} ${row.what.padEnd(58)} ${inside.length}/${found.length}  [${row.range}] ${row.unit}  min ${f(sorted[0])} med ${f(sorted[sorted.length >> 1])} max ${f(sorted.at(-1))}  ${((performance.now() - t0) / 1000).toFixed(1)}s`,
  );
  if (verbose)
    for (const { id, v } of found)
      console.log(
        `       ${v >= row.range[0] && v <= row.range[1] ? ' ' : 'o'} ${id.padEnd(28)} ${v.toFixed(2)}`,
      );
}
console.log(`${inAll}/${all} = ${((100 * inAll) / all).toFixed(1)} %`);
