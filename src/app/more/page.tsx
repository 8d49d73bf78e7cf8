import type { Metadata } from 'next';
import Link from 'next/link';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { MORE } from '@/features/frame/ui/AppShell';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'More' };

export default async function MorePage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="More">
      <div className="px-4 py-5 max-w-[560px] flex flex-col gap-2.5">
        <h1>More</h1>
        {MORE.map((p) => (
          <Link
            key={p.href}
            prefetch={false}
            href={p.href}
            className="btn !min-h-[64px] !justify-between"
          >
            <span>{p.name}</span>
            <span className="q font-normal text-[14px]">{p.what}</span>
          </Link>
        ))}
      </div>
    </PageShell>
  );
}
