import type { MetadataRoute } from 'next';

/** What makes it a thing on a phone's home screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Zealous Heap',
    short_name: 'Zealous Heap',
    description: 'From thermometer readings to a proven compost batch.',
    start_url: '/round',
    scope: '/',
    display: 'standalone',
    background_color: '#F2F3EA',
    theme_color: '#2A221A',
    icons: [192, 512].flatMap((size) =>
      (['any', 'maskable'] as const).map((purpose) => ({
        src: `/icon-${size}.png`,
        sizes: `${size}x${size}`,
        type: 'image/png',
        purpose,
      })),
    ),
    shortcuts: [
      { name: 'Start a round', url: '/round' },
      { name: 'Yard', url: '/' },
    ],
  };
}
