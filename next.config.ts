import type { NextConfig } from 'next';

const config: NextConfig = {
  // A native module: left to Node.
  serverExternalPackages: ['better-sqlite3'],
  poweredByHeader: false,
  turbopack: { root: import.meta.dirname },
  devIndicators: false,
  headers: () =>
    Promise.resolve([
      {
        source: '/:path*',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'X-Frame-Options', value: 'DENY' },
          { key: 'Referrer-Policy', value: 'same-origin' },
        ],
      },
    ]),
};

export default config;
