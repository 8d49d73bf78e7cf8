import '@fontsource-variable/bricolage-grotesque/wdth.css';
import '@fontsource-variable/atkinson-hyperlegible-next';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { unitsCode } from '@/core/units/units';
import { currentLanguage, currentUnits, say } from '@/messages/say';
import { Patterns } from '@/features/frame/ui/Patterns';
import { PageWords } from '@/features/frame/server/PageWords';
import { chosenLight } from '@/features/frame/server/light';

export const metadata: Metadata = {
  title: {
    get default() {
      return say('app.zealousHeap');
    },
    template: '%s · Zealous Heap',
  },
  get description() {
    return say('app.fromTemperatureReadingsBatchMeets');
  },
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function Layout({ children }: { children: ReactNode }) {
  const light = await chosenLight();
  return (
    <html
      lang={currentLanguage()}
      data-units={unitsCode(currentUnits())}
      {...(light ? { 'data-light': light } : {})}
    >
      <body>
        <PageWords />
        <Patterns />
        {children}
      </body>
    </html>
  );
}
