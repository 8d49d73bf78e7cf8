'use client';
import { say } from '@/messages/say';
import { Term } from '@/ui/Term';
import { GLOSSARY, type GlossaryTerm } from '@/core/words/glossary';
import { estOf, WINDOW_IDS, WINDOWS, type WindowId } from '@/core/mix/window';
import { windowEnd, windowFigure, windowRange, windowSays } from '@/core/mix/words';
import type { Mix } from '@/core/mix/mix';
import { Trench } from '@/charts/Trench';

/** What each window is called in the trade. */
const TERM_OF: Readonly<Record<WindowId, GlossaryTerm>> = {
  cn: GLOSSARY.cn,
  moisture: GLOSSARY.moisture,
  density: GLOSSARY.density,
  air: GLOSSARY.airspace,
};

/** Where the mix stands in each window, and where a change would put it. */
export function Windows({ mix, then }: { mix: Mix; then: Mix | null }) {
  return (
    <div className="flex flex-col gap-2.5">
      {WINDOW_IDS.map((id) => {
        const w = WINDOWS[id];
        const e = estOf(mix[id]);
        const after = then ? estOf(then[id]) : null;
        const moved =
          after && e && windowFigure(id, after.value) !== windowFigure(id, e.value)
            ? after.value
            : null;
        const says = windowSays(id, mix);
        return (
          <section key={id} data-testid={`window-${id}`}>
            <h3>
              <Term {...TERM_OF[id]}>{w.name}</Term>{' '}
              <span className="font-normal text-note text-ink-2">{w.unit}</span>
            </h3>
            <Trench
              scale={w.scale}
              preferred={w.preferred}
              reasonable={w.reasonable}
              value={e?.value ?? null}
              band={e && e.high - e.low > 1e-9 ? [e.low, e.high] : null}
              then={moved}
              text={(v) => windowEnd(id, v)}
              label={
                e
                  ? say('bench.bestWorkable', {
                      name: w.name,
                      id: windowFigure(id, e.value),
                      unit: w.unit,
                      preferred: windowRange(id, w.preferred),
                      reasonable: windowRange(id, w.reasonable),
                    })
                  : say('bench.cannotWorkedOutBestWorkable', {
                      name: w.name,
                      preferred: windowRange(id, w.preferred),
                      reasonable: windowRange(id, w.reasonable),
                    })
              }
            />
            <p className="text-small text-ink-2">{says}</p>
          </section>
        );
      })}
      <WindowSources />
    </div>
  );
}

const WindowSources = () => (
  <details className="text-note text-ink-2">
    <summary className="cursor-pointer target-in-text flex items-center underline">
      {say('bench.whereTheseRangesComeFrom')}
    </summary>
    <ul>
      {WINDOW_IDS.map((id) => (
        <li key={id}>
          {say('bench.bestWorkable2', {
            name: WINDOWS[id].name,
            preferred: windowRange(id, WINDOWS[id].preferred),
            reasonable: windowRange(id, WINDOWS[id].reasonable),
            source: WINDOWS[id].source,
          })}
        </li>
      ))}
    </ul>
  </details>
);
