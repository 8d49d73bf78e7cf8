import { issueText } from '@/core/words/issue-text';
import { redirect } from 'next/navigation';
import { SiteInput } from '../../input';
import { mayNameSite } from '../queries';
import { NameSite, type TypedSite } from '../../ui/NameSite';

type Asked = { readonly [name in keyof TypedSite]?: string | string[] };

/** What was typed before, with what was wrong with it; nothing at a first visit. */
function typedBefore(asked: Asked): { typed: TypedSite; problems: TypedSite } {
  const typed = Object.fromEntries(
    Object.entries(asked).filter(([, value]) => typeof value === 'string'),
  ) as TypedSite;
  const parsed = SiteInput.safeParse(typed, { error: issueText });
  const isFirst = Object.keys(typed).length === 0;
  const problems = isFirst || parsed.success ? [] : parsed.error.issues;
  return {
    typed,
    problems: Object.fromEntries(problems.map((i) => [String(i.path[0]), i.message])),
  };
}

export async function SitePage({ searchParams }: { searchParams: Promise<Asked> }) {
  if (!(await mayNameSite())) redirect('/refused');
  return <NameSite {...typedBefore(await searchParams)} />;
}
