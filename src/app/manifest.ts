import type { MetadataRoute } from 'next';

/** What a phone needs to know to put the kitchen beside its other apps. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Orderly Frost',
    short_name: 'Frost',
    description:
      'The cold store of your kitchen: what lies where, what to eat first, and whether it is safe.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#eaf0f1',
    theme_color: '#fbfdfc',
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
      ...[192, 512].map((px) => ({ src: `/icon-${px}.png`, sizes: `${px}x${px}`, type: 'image/png' })),
    ],
    shortcuts: [{ name: 'Power cut', url: '/outage' }],
  };
}
