import { parseBatchId } from '@/core/log/ids';
import { METHODS } from '@/core/evidence/types';
import { localInput } from '@/core/quantity/calendar';
import { RULE_LIBRARY } from '@/core/rules/library';
import { systemOfSite } from '@/core/formats/batch-file-of';
import { leastHotVolume } from '@/core/heap/size';
import { countryOfSite } from '@/core/rules/country';
import { templatesOf } from '@/core/advice/templates';
import { DraftScope } from '@/ui/draft';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext, type PageContext } from '@/features/frame/server/queries';
import { stepOf, STEPS } from '../../first-steps';
import { listInputs, type OpenContext, type OpenDraft } from '../../open-draft';
import { proposal } from '../../proposal';
import { FirstBatchStep, PurposeStep, StepFrame, ThermometerStep } from '../../ui/FirstSteps';
import { FirstTemperaturesStep } from '../../ui/FirstTemperatures';

type Asked = {
  readonly step?: string;
  readonly method?: string;
  readonly inputs?: string;
  readonly batch?: string;
};

/** What the first step answered, for the first batch. */
function draftAsked({ method, inputs }: Asked): Partial<OpenDraft> {
  const known = METHODS.find((m) => m === method);
  const asked = (inputs ?? '').split(' ');
  const named = listInputs().flatMap(([input]) => (asked.includes(input) ? [input] : []));
  return { ...(known ? { method: known } : {}), ...(named.length > 0 ? { inputs: named } : {}) };
}

/** The site's own terms, and what else a new batch is opened by. */
function openContextOf(s: PageContext): OpenContext {
  const terms = s.siteState.terms.at(-1);
  return {
    leastHotM3: leastHotVolume(s.siteState.work?.leastM3, systemOfSite(s.site)),
    country: countryOfSite(s.siteState.country, s.site.timeZone),
    unit: s.unit,
    codes: s.board.map((d) => d.code.toUpperCase()),
    stretchM: s.siteState.settings.stretchM,
    rules: RULE_LIBRARY.map((rule) => ({ id: rule.id, rule })),
    ownRules: [],
    siteTerms: terms ? { version: terms.version, rules: terms.rules, policy: terms.policy } : null,
    templates: templatesOf(s.siteState.templates),
    nowMs: s.now,
  };
}

/** From a new site to a first verdict, a step at a time; each can be skipped. */
export async function StartPage({ searchParams }: { searchParams: Promise<Asked> }) {
  const [asked, s] = [await searchParams, await loadPageContext()];
  const step = stepOf(asked.step);
  const batch = s.board.find((d) => d.id === parseBatchId(asked.batch ?? ''));
  const kept = new URLSearchParams(
    Object.entries({ method: asked.method, inputs: asked.inputs }).filter(
      (pair): pair is [string, string] => pair[1] !== undefined,
    ),
  );
  const following = STEPS[STEPS.indexOf(step) + 1];
  const isLast = following === undefined || (following === 'temperatures' && !batch);
  const home = batch ? `/batch/${batch.id}` : '/';
  const skip = isLast ? home : `/start?step=${following}&${kept.toString()}`;
  const site = {
    id: batch?.id ?? '',
    name: batch ? (batch.name ?? batch.code) : s.site.name,
    by: s.prefs.by,
    nowLocal: localInput(s.site.timeZone, s.now),
    unit: s.unit,
  };
  return (
    <PageShell s={s} place="start">
      <DraftScope name={`start ${step}`}>
        <StepFrame step={step} next={skip}>
          {step === 'purpose' && (
            <PurposeStep
              site={site}
              next="/start?step=thermometer"
              country={countryOfSite(s.siteState.country, s.site.timeZone)}
            />
          )}
          {step === 'thermometer' && <ThermometerStep site={site} next={skip} />}
          {step === 'batch' && (
            <FirstBatchStep
              site={{ ...site, id: '' }}
              next="/start?step=temperatures"
              context={openContextOf(s)}
              draft={{ ...proposal(s.board), ...draftAsked(asked) }}
            />
          )}
          {step === 'temperatures' && (
            <FirstTemperaturesStep
              site={site}
              next={home}
              points={(batch?.field.places ?? []).map((p) => ({
                id: p.id,
                label: p.label ?? p.id,
              }))}
              instruments={[...s.siteState.instruments.values()].flatMap((i) =>
                i && i.out === undefined ? [{ name: i.name, unit: i.unit }] : [],
              )}
            />
          )}
        </StepFrame>
      </DraftScope>
    </PageShell>
  );
}
