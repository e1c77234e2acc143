/** What every answer says of how it may be used. */

/** For documents: scripts only by nonce, and what those load themselves. */
export function documentPolicy(nonce: string, development = false): string {
  return [
    "default-src 'self'",
    // Reloading in development evaluates code.
    `script-src 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    // Attributes too: places and sizes of what is drawn are styles. A style cannot run anything.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    `connect-src 'self'${development ? ' ws:' : ''}`,
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** For scripts that run as workers, which take their policy from their own answer: what they are made of is ours. */
const SCRIPT_POLICY =
  "default-src 'none'; script-src 'self'; connect-src 'self'; base-uri 'none'; frame-ancestors 'none'";

/** What an answer for a path carries. */
export function headersFor(
  path: string,
  nonce: string,
  development = false,
): Readonly<Record<string, string>> {
  const script = path.startsWith('/_next/') && !development;
  return {
    'Content-Security-Policy': script ? SCRIPT_POLICY : documentPolicy(nonce, development),
    'Cross-Origin-Opener-Policy': 'same-origin',
    'Cross-Origin-Resource-Policy': 'same-origin',
    'Referrer-Policy': 'same-origin',
    'X-Content-Type-Options': 'nosniff',
    'X-Frame-Options': 'DENY',
    'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
    ...(path.startsWith('/api/') ? { 'Cache-Control': 'no-store' } : {}),
  };
}
