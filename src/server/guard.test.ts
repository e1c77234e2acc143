import { refusalOf } from './guard';
import { documentPolicy, headersFor } from './headers';

const ask = (method: string, headers: Record<string, string>, url = '/api/boats') =>
  refusalOf({ method, url, headers: { host: 'localhost:4780', ...headers } })?.status ?? 200;

describe('who may ask', () => {
  it.each([
    ['localhost:4780', 200],
    ['LOCALHOST', 200],
    ['127.0.0.1:9000', 200],
    ['[::1]:4780', 200],
    ['evil.example', 421],
    ['evil.example:4780', 421],
    ['localhost.evil.example:4780', 421],
    ['127.0.0.1.evil.example', 421],
    ['192.168.1.7:4780', 421],
    ['0.0.0.0:4780', 421],
    ['localhost:4780@evil.example', 421],
    ['', 421],
  ])('as %s is answered %i', (host, status) => {
    expect(ask('GET', { host })).toBe(status);
    expect(ask('POST', { host })).toBe(status);
  });

  it.each([
    // Programs that are no browser.
    [{}, 200],
    [{ 'sec-fetch-site': 'same-origin', origin: 'http://localhost:4780' }, 200],
    [{ origin: 'http://localhost:4780' }, 200],
    [{ 'sec-fetch-site': 'cross-site' }, 403],
    [{ 'sec-fetch-site': 'same-site' }, 403],
    [{ origin: 'null' }, 403],
    [{ origin: 'http://evil.example' }, 403],
    [{ origin: 'http://localhost:3000' }, 403],
    [{ origin: 'https://localhost:4780' }, 403],
    [{ origin: 'http://127.0.0.1:4780' }, 403],
    [{ origin: 'nonsense' }, 403],
    // Forged beside a site that says it is the same.
    [{ 'sec-fetch-site': 'same-origin', origin: 'http://evil.example' }, 403],
    [{ 'sec-fetch-site': 'none', origin: 'null' }, 403],
  ] as const)('to change something with %j is answered %i', (headers, status) => {
    for (const method of ['POST', 'PUT', 'PATCH', 'DELETE', 'BREW'])
      expect(ask(method, headers, '/api/manoeuvres/x/copy')).toBe(status);
  });

  it('pages can be linked to from elsewhere; what the server computes or keeps is not for other sites', () => {
    const foreign = { 'sec-fetch-site': 'cross-site' };
    expect(ask('GET', foreign, '/m/alongside-wind-off')).toBe(200);
    expect(ask('GET', foreign, '/api/feed?manoeuvre=x')).toBe(403);
    expect(ask('GET', { 'sec-fetch-site': 'same-origin' }, '/api/feed?manoeuvre=x')).toBe(200);
    expect(ask('GET', { 'sec-fetch-site': 'none' }, '/api/library')).toBe(200);
  });
});

describe('how an answer may be used', () => {
  it('scripts run by nonce only, nothing frames it, answers of the server are not stored', () => {
    const policy = documentPolicy('abc');
    const script = /script-src ([^;]*)/.exec(policy)![1];
    expect(script).toBe("'nonce-abc' 'strict-dynamic'");
    expect(policy).not.toContain('unsafe-eval');
    for (const part of ["frame-ancestors 'none'", "object-src 'none'", "base-uri 'none'"])
      expect(policy).toContain(part);
    expect(headersFor('/api/boats', 'abc')).toMatchObject({
      'Cache-Control': 'no-store',
      'Cross-Origin-Opener-Policy': 'same-origin',
      'Cross-Origin-Resource-Policy': 'same-origin',
      'X-Content-Type-Options': 'nosniff',
    });
    expect(headersFor('/m/x', 'abc')).not.toHaveProperty('Cache-Control');
    const worker = headersFor('/_next/static/chunks/x.js', 'abc')['Content-Security-Policy'];
    expect(worker).not.toContain('unsafe');
  });
});
