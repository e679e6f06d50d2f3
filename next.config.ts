import type { NextConfig } from 'next';

const nodeOnly = { browser: './node-only.mjs' };

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  turbopack: { resolveAlias: { module: nodeOnly, fs: nodeOnly, path: nodeOnly } },
};

export default config;
