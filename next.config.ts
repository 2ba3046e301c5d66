import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  serverExternalPackages: ['pdfmake', 'pg'],
  reactStrictMode: true,
  // npm test checks types over the whole tree; once is enough.
  typescript: { ignoreBuildErrors: true },
  experimental: { optimizePackageImports: ['@mui/material', '@mui/icons-material'] },
};

export default config;
