import { say } from '@/messages/say';
import { libraryText } from '@/messages/library-text';
import { parseBatchId, type BatchId } from '@/core/log/ids';
import { ownRulesOf } from '@/core/formats/batch-file';
import type { Terms } from '@/core/log/fold';
import { findRule } from '@/core/rules/library';
import { notFound } from 'next/navigation';
import { localInput } from '@/core/quantity/calendar';
import { templatesOf } from '@/core/advice/templates';
import { buildingOf } from '@/features/build/server/queries';
import type { BuildView } from '@/features/build/view';
import { FeedstockAddedList } from '@/features/build/ui/FeedstockAddedList';
import { kinOf } from '../../kin';
import { batchScreen } from '../queries';
import { BatchLinks, BatchScreen } from '../../ui/BatchScreen';
import { Kin } from '../../ui/Kin';
import { PutOffButton } from '@/features/day/ui/PutOffButton';
import { LogBar } from '@/features/log/ui/LogBar';
import { dangerText } from '@/features/log/danger';
import { FIRST_LINES } from '@/features/log/view';
import { LogList } from '@/features/log/ui/LogList';
import { loadBatchConcerns } from '@/entry/server/batch-concerns';
import { Concerns } from '@/ui/Concerns';
import { placedHeaps } from '@/entry/placed';
import { logLines } from '@/features/log/view';
import { loadOpenAbout } from '@/features/questions/server/queries';
import { OpenQuestions } from '@/features/questions/ui/OpenQuestions';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext, type PageContext } from '@/features/frame/server/queries';

/** A round this fresh was read before the turning that is being logged. */
const READ_LATELY_MS = 43_200_000;

/** The rules that the heap is kept under, by the names that its page gives them. */
const rulesInForce = (terms: Terms | undefined) =>
  (terms?.rules ?? []).flatMap((ruleId) => {
    const rule = findRule(ruleId, ownRulesOf(terms!.ownRules));
    return rule ? [{ title: libraryText(rule.title), rule }] : [];
  });

type Shown = NonNullable<Awaited<ReturnType<typeof batchScreen>>>;
/** What the forms of its log bar need to know of a batch. */
function heapRefOf(
  s: PageContext,
  { name, state, digest: snapshot, advice }: Shown,
  built: BuildView | null,
): Parameters<typeof LogBar>[0]['heap'] & { readonly id: BatchId } {
  const { water } = advice;
  return {
    id: state.id,
    name,
    by: s.prefs.by,
    nowLocal: localInput(s.site.timeZone, s.now),
    unit: s.unit,
    placed: placedHeaps(s.board),
    readLately: snapshot.latest !== null && s.now - snapshot.latest.at < READ_LATELY_MS,
    templates: templatesOf(s.siteState.templates).filter((t) => t.kept === state.opened.method),
    template: snapshot.situation.template.id,
    rules: rulesInForce(state.terms.at(-1)),
    onHold: snapshot.situation.stage.held !== null,
    shape: state.opened.shape ?? null,
    leastHotM3: snapshot.situation.leastHotM3,
    danger: dangerText(snapshot, s.locale),
    tooWet: water?.tooWet ? `${water.heading}. ${water.text}` : null,
    ...(built
      ? { store: { sources: built.sources, measures: built.measures, room: built.room } }
      : {}),
  };
}

export async function BatchPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id: asked }, s] = [await params, await loadPageContext()];
  const id = parseBatchId(asked);
  if (id === null) notFound();
  const b = await batchScreen(id, s.site, s.board, s.locale);
  if (!b) notFound();
  const { state, digest: _snapshot, ...shown } = b;
  const built = await buildingOf(id, s.site.id, s.board, s.locale);
  const heap = heapRefOf(s, b, built);
  const concerns = await loadBatchConcerns(s, id);
  const version = `${s.asOf} ${s.unit}`;
  const { task, next } = b.advice;
  const actions = task && (
    <PutOffButton
      task={{ key: task, batch: id, name: b.name, words: next, cost: '' }}
      by={s.prefs.by}
    />
  );
  return (
    <PageShell s={s} place="yard" active={id}>
      <BatchScreen
        {...shown}
        id={id}
        version={version}
        actions={actions}
        links={!b.building && <BatchLinks id={id} />}
        went={
          built && (
            <>
              <FeedstockAddedList view={built} />
              <Concerns texts={concerns.other} />
            </>
          )
        }
        concerns={<Concerns texts={concerns.grave} />}
        questions={<OpenQuestions lines={await loadOpenAbout(s, id)} />}
        kin={<Kin ties={kinOf(id, s.board, s.site.timeZone)} />}
        logBar={<LogBar heap={heap} building={b.building} />}
        log={
          <LogList
            checkLabel={s.records ? say('log.checkIt') : null}
            lines={logLines(state, s.locale, 0, FIRST_LINES)}
            total={state.entries.length}
            version={version}
            heap={heap}
          />
        }
      />
    </PageShell>
  );
}
