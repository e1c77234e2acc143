import type { IncomingMessage, ServerResponse } from 'node:http';
import { listBackups, troubleOf } from '@/db';
import { inspectBackup, recover, type Backup, type Damage } from '@/db/upkeep';
import { paletteCss } from '@/ui/theme/palette';

/** The one page there is while a damaged database waits for a decision. It works without any script. */

const escaped = (text: string) => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

const day = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
  second: '2-digit',
});

interface Contents {
  readonly words: string;
  /** Whether it can be restored. */
  readonly sound: boolean;
}

/** By name: a backup does not change, and to look a large one over takes its time. */
const looked = new Map<string, Contents>();

function contentsOf(directory: string, copy: Backup): Contents {
  const known = looked.get(copy.name) ?? lookInto(directory, copy);
  looked.set(copy.name, known);
  return known;
}

/** What is in a backup, in words. */
function lookInto(directory: string, { name, bytes }: Backup): Contents {
  try {
    const { counts, changedAt } = inspectBackup(directory, name);
    const last = changedAt === null ? '' : `; last change ${day.format(changedAt)}`;
    const words = `${counts.manoeuvres} manoeuvres, ${counts.runs} driven runs, ${counts.boats} boats, ${counts.places} places, ${(bytes / 1e6).toFixed(1)} MB${last}`;
    return { words, sound: true };
  } catch (error) {
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    return { words: `cannot be restored: ${trouble.message}`, sound: false };
  }
}

function row(directory: string, copy: Backup): string {
  const { words, sound } = contentsOf(directory, copy);
  const button = sound
    ? `<button name="backup" value="${escaped(copy.name)}">Restore</button>`
    : '';
  return `<li><strong>${day.format(copy.at)}</strong><span>${escaped(words)}</span>${button}</li>`;
}

const STYLE = `
body{font:16px/1.5 'Schibsted Grotesk Variable',sans-serif;background:var(--paper);color:var(--ink);margin:0}
main{max-width:44rem;margin:0 auto;padding:2rem 1rem}h1{font-size:1.6rem;line-height:1.2}
ul{list-style:none;padding:0}li{display:flex;flex-wrap:wrap;gap:.25rem 1rem;align-items:baseline;border-top:1px solid var(--hairline);padding:.6rem 0}
li span{flex:1 1 16rem}button{font:inherit;font-weight:600;min-height:2.75rem;padding:0 1rem;background:none;color:inherit;border:1px solid}
.alert{border-left:4px solid;padding-left:1rem;font-weight:600}code{overflow-wrap:anywhere}`;

function page(directory: string, damage: Damage, problem: string | null): string {
  const copies = listBackups(directory);
  const moved = damage.movedTo
    ? `<p>The damaged files were moved, unchanged, to <code>${escaped(damage.movedTo)}</code> in the data directory <code>${escaped(directory)}</code>. Nothing here deletes them.</p>`
    : `<p>The data directory is <code>${escaped(directory)}</code>.</p>`;
  const list =
    copies.length > 0
      ? `<p>Restore one of these backups. What was saved after it is not in it.</p><ul>${copies.map((copy) => row(directory, copy)).join('')}</ul>`
      : '<p>There is no backup.</p>';
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>The library could not be opened · Yawtrope</title><style>${paletteCss()}${STYLE}</style></head>
<body><main><h1>The library could not be opened</h1>
<p>Found ${day.format(damage.at)}: the database ${escaped(damage.why)}.</p>${moved}
${problem ? `<p class="alert" role="alert">${escaped(problem)}</p>` : ''}
<form method="post" action="/recovery">${list}
<p>Or begin with the demo data only.</p><button name="begin" value="anew">Begin anew</button></form>
<p>The same from a terminal: <code>npm run restore</code>.</p></main></body></html>`;
}

const MOST_FORM_BYTES = 2000;

async function formOf(request: IncomingMessage): Promise<URLSearchParams | null> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > MOST_FORM_BYTES) return null;
  }
  return new URLSearchParams(text);
}

function answer(response: ServerResponse, status: number, type: string, body: string): void {
  response.writeHead(status, { 'content-type': type, 'cache-control': 'no-store' });
  response.end(body);
}

/**
 * Answers a request while the database is damaged. Returns whether the damage is over.
 *
 * @param demo the directory of the demo data
 */
export async function answerDamaged(
  request: IncomingMessage,
  response: ServerResponse,
  { directory, damage, demo }: { directory: string; damage: Damage; demo: string },
): Promise<boolean> {
  const html = 'text/html; charset=utf-8';
  const path = request.url ?? '/';
  if (path.startsWith('/api/')) {
    const message = `the library could not be opened (the database ${damage.why}); open the start page to restore a backup`;
    const problems = [{ path: '(library)', message }];
    answer(response, 503, 'application/json', JSON.stringify({ problems }));
    return false;
  }
  if (request.method !== 'POST' || path !== '/recovery') {
    answer(response, 503, html, page(directory, damage, null));
    return false;
  }
  const form = await formOf(request);
  const name = form?.get('backup') ?? null;
  if (!form || (name === null && form.get('begin') !== 'anew')) {
    answer(response, 422, html, page(directory, damage, 'Choose a backup, or begin anew.'));
    return false;
  }
  try {
    await recover(directory, name, demo, Date.now());
  } catch (error) {
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    answer(response, 422, html, page(directory, damage, `Not restored: ${trouble.message}.`));
    return false;
  }
  response.writeHead(303, { location: '/' });
  response.end();
  return true;
}
