import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-ext-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-600.css';
import '@fontsource/fraunces/latin-600.css';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Program } from '@/features/shared/offline/Program';
import { SlowFiles } from '@/features/shared/SlowFiles';
import { Providers } from '@/ui/Providers';

export const metadata: Metadata = {
  title: 'Bellagraph',
  description: 'Compose photos, papers and words into scrapbook layouts, and prepare them for printing.',
};

export const viewport: Viewport = { themeColor: '#9e2b45' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  // What is written into the page itself is known by it (proxy.ts).
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en-GB" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data-scheme" defaultMode="system" {...(nonce ? { nonce } : {})} />
        <AppRouterCacheProvider options={{ enableCssLayer: false, ...(nonce ? { nonce } : {}) }}>
          <Providers>
            {children}
            <Program />
            <SlowFiles />
          </Providers>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
