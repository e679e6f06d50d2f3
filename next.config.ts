import type { NextConfig } from 'next';

const nodeOnly = { browser: './node-only.mjs' };

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Stand-ins paint files with these; they bring WebAssembly and native code of their own.
  serverExternalPackages: ['@hyzyla/pdfium', 'sharp', 'lcms-wasm'],
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
