import type { Metadata } from 'next';
import { localInput } from '@/core/quantity/calendar';
import { RULE_LIBRARY } from '@/core/rules/library';
import { FIVE_PLACES, proposal, usualRules } from '@/features/entry/proposal';
import { OpenForm } from '@/features/entry/ui/OpenForm';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Open a heap' };

export default async function OpenPage() {
  const s = await setting();
  const site = { id: '', name: s.site.name, by: s.prefs.by, nowLocal: localInput(s.site.timeZone, s.now), unit: s.unit };
  const rules = RULE_LIBRARY.map((r) => ({ id: r.id, title: r.title, methods: r.methods, source: [r.jurisdiction, r.document, r.section].filter(Boolean).join(', ') }));
  return (
    <FrameFor s={s} place="Open a heap">
      <OpenForm site={site} proposed={proposal(s.board)} codes={s.board.map((d) => d.code.toUpperCase())} places={FIVE_PLACES} rules={rules} usual={usualRules(s.board)} volumeUnit={s.prefs.volume} />
    </FrameFor>
  );
}
