import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  serverExternalPackages: ['pdfmake', 'pg'],
  reactStrictMode: true,
  // npm test checks types over the whole tree; once is enough.
  typescript: { ignoreBuildErrors: true },
  // A library names Node's Buffer and never uses it in a browser, where a stand-in for it would be sent along.
  turbopack: { resolveAlias: { 'next/dist/compiled/buffer': { browser: './src/ui/no-buffer.ts' } } },
  experimental: { optimizePackageImports: ['@mui/material', '@mui/icons-material'] },
};

export default config;
