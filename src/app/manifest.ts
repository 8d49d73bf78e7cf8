import type { MetadataRoute } from 'next';
import { currentLanguage, say } from '@/messages/say';
import { PLACES } from '@/core/words/places';

/** In the language of the device that asks for it. */
export const dynamic = 'force-dynamic';

/** What makes it a thing on a phone's home screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    lang: currentLanguage(),
    name: 'Zealous Heap',
    short_name: 'Zealous Heap',
    description: say('app.fromTemperatureReadingsBatchMeets'),
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
      { name: say('log.logTemperatures'), url: PLACES.round.href },
      { name: PLACES.yard.name, url: PLACES.yard.href },
    ],
  };
}
