import type { NextConfig } from 'next';

const config: NextConfig = {
  // A native module, and one that loads a script of its own: left to Node.
  serverExternalPackages: ['better-sqlite3', 'piscina'],
  poweredByHeader: false,
  // Types are checked by `npm test`, once.
  typescript: { ignoreBuildErrors: true },
  turbopack: { root: import.meta.dirname },
  devIndicators: false,
};

export default config;
