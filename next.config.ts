import type { NextConfig } from 'next';
import { COMMON, filePolicy } from './src/app/headers';

const nodeOnly = { browser: './node-only.mjs' };

/** In production: what reloads itself while it is worked on needs more. */
const guarded = process.env.NODE_ENV === 'production';
const listed = (all: Record<string, string>) => Object.entries(all).map(([key, value]) => ({ key, value }));

/** Names the build, by which versions of the program know each other apart; workers of the build are given it. */
const build = (process.env.BELLAGRAPH_BUILD ??= Date.now().toString(36));

const config: NextConfig = {
  generateBuildId: () => build,
  env: { BELLAGRAPH_BUILD: build },
  reactStrictMode: true,
  poweredByHeader: false,
  // It is served to the machine it runs on: packing each file costs more than carrying it.
  compress: false,
  devIndicators: false,
  // A build is made once from what lies here, and never made anew from what an earlier one left.
  experimental: { turbopackFileSystemCacheForBuild: false, turbopackSourceMaps: false },
  // Stand-ins paint files with these; they bring WebAssembly and native code of their own.
  serverExternalPackages: ['@hyzyla/pdfium', 'sharp', 'lcms-wasm'],
  headers: async () =>
    guarded
      ? [
          { source: '/:path*', headers: listed(COMMON) },
          ...['/_next/:path*', '/house/:path*', '/demo/:path*', '/api/:path*', '/sw.js'].map((source) => ({
            source,
            headers: listed({ 'Content-Security-Policy': filePolicy }),
          })),
        ]
      : [],
  // `npm run types` asks the compiler, once.
  typescript: { ignoreBuildErrors: true },
  turbopack: {
    resolveAlias: {
      module: nodeOnly,
      fs: nodeOnly,
      path: nodeOnly,
      // Paper.js looks for a DOM when it runs in Node; ours has nothing to draw on there.
      jsdom: './node-only.mjs',
      'jsdom/lib/jsdom/living/generated/utils': './node-only.mjs',
      canvas: './node-only.mjs',
    },
  },
};

export default config;
