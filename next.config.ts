import type { NextConfig } from 'next';

const config: NextConfig = {
  // A native module, and one that loads a script of its own: left to Node.
  serverExternalPackages: ['better-sqlite3', 'piscina'],
  poweredByHeader: false,
  // Types are checked by `npm test`, once.
  typescript: { ignoreBuildErrors: true },
  turbopack: { root: import.meta.dirname },
  devIndicators: false,
  experimental: {
    // Half the work of a build, and nothing gained: what the server runs does not travel, and is readable in an error.
    serverMinification: false,
    turbopackSourceMaps: false,
    // Kept for a next build that on a fresh clone never comes; it costs a quarter of the first.
    turbopackFileSystemCacheForBuild: false,
  },
};

export default config;
