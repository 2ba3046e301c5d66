import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  serverExternalPackages: ['pdfmake', 'pg'],
  reactStrictMode: true,
  // npm test checks types over the whole tree; once is enough.
  typescript: { ignoreBuildErrors: true },
  // A library names Node's Buffer and never uses it in a browser, where a stand-in for it would be sent along.
  turbopack: { resolveAlias: { 'next/dist/compiled/buffer': { browser: './src/ui/no-buffer.ts' } } },
  experimental: {
    optimizePackageImports: ['@mui/material', '@mui/icons-material'],
    // Half as long to build: nobody ships the maps, reading its own cache back took as long as building anew, and what
    // the server logs is better with its names in it.
    turbopackMinify: { server: false, client: true },
    turbopackSourceMaps: false,
    turbopackInputSourceMaps: false,
    turbopackFileSystemCacheForBuild: false,
  },
};

export default config;
