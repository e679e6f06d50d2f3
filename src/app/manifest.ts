import type { MetadataRoute } from 'next';

/** By which it is installed as a program of its own (Web Application Manifest, W3C). */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Bellagraph',
    short_name: 'Bellagraph',
    description: 'Compose photos, papers and words into scrapbook layouts, and prepare them for printing.',
    lang: 'en-GB',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#fbfaf7',
    theme_color: '#9e2b45',
    categories: ['photo', 'productivity', 'lifestyle'],
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
      ...[192, 512].map((side) => ({
        ...{ src: `/house/icons/${side}.png`, sizes: `${side}x${side}`, type: 'image/png' },
      })),
      { src: '/house/icons/masked.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
    shortcuts: [{ name: 'The cupboard of supplies', url: '/cupboard' }],
  };
}
