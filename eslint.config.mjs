import next from 'eslint-config-next';
import tseslint from 'typescript-eslint';

/** Where components and hooks are: what is only looked for in them takes longer than all else. */
const REACT = ['src/app/**/*.{ts,tsx}', 'src/features/**/*.{ts,tsx}', 'src/ui/**/*.{ts,tsx}', '**/*.tsx'];

const config = [
  {
    ignores: [
      '.cache/**',
      '.next/**',
      'public/**',
      'node_modules/**',
      'next-env.d.ts',
      '.dependency-cruiser.cjs',
    ],
  },
  ...next.map((part) => (part.name === 'next' ? { ...part, files: REACT } : part)),
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_+$' }],
      'max-lines': ['warn', { max: 400, skipBlankLines: true, skipComments: true }],
      'import/no-anonymous-default-export': 'off',
      // Pictures here are blobs out of the browser's own store; Next's image server can do nothing for them.
      '@next/next/no-img-element': 'off',
    },
  },
  {
    ignores: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**'],
    rules: {
      'max-lines-per-function': ['warn', { max: 150, skipBlankLines: true, skipComments: true }],
    },
  },
];

export default config;
