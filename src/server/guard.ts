import type { IncomingHttpHeaders } from 'node:http';

/**
 * Who may ask. The server is for one person on one machine: whatever is asked under another name than this machine's
 * own, or by a page of another site, is refused before anything looks at it. A site whose name was made to resolve to
 * this machine asks under its own name; a page of another site says where it is from.
 */

/** The names this machine goes by towards itself. */
const HOSTS: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]']);

const SAFE: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

export interface Asked {
  readonly method: string;
  /** Path and query. */
  readonly url: string;
  readonly headers: IncomingHttpHeaders;
}

export interface TurnedAway {
  readonly status: 403 | 421;
  readonly message: string;
}

const hostName = (host: string) => host.toLowerCase().replace(/:\d+$/, '');

function fromHere(host: string, origin: string): boolean {
  try {
    const { protocol, host: from } = new URL(origin);
    return protocol === 'http:' && from === host.toLowerCase();
  } catch {
    // 'null', and what is no origin at all.
    return false;
  }
}

/** Why a request is not answered; null where it is. */
export function refusalOf({ method, url, headers }: Asked): TurnedAway | null {
  const { host, origin } = headers;
  if (!host || !HOSTS.has(hostName(host)))
    return {
      status: 421,
      message: `this server answers to localhost, 127.0.0.1 and [::1] only, not to '${host ?? ''}'`,
    };
  const site = headers['sec-fetch-site'];
  const foreign = site !== undefined && site !== 'same-origin' && site !== 'none';
  const refused = (what: string): TurnedAway => ({
    status: 403,
    message: `${what} is taken from this server's own pages only`,
  });
  if (!SAFE.has(method)) {
    if (foreign) return refused(method);
    // Programs that are no browser send neither; a browser sends the origin with all that changes anything.
    if (origin !== undefined && !fromHere(host, origin)) return refused(method);
    return null;
  }
  // Pages may be linked to; what they are made of, and what the server computes, is not for other sites.
  if (foreign && url.startsWith('/api/')) return refused('this');
  return null;
}
