import type { HotWords } from '@/telling/status/hot';

/** Why a heap is too hot, what may be done about it, and what comes after. */
export function HotChoices({ hot }: { hot: HotWords }) {
  return (
    <>
      <p className="mt-1.5">{hot.why}</p>
      <ul className="mt-1.5 flex flex-col gap-1">
        {hot.choices.map((c) => (
          <li key={c.choice} className="leading-[1.3]">
            <b className="font-semibold">{c.act}.</b>
            {c.caution && <span className="q text-hint"> {c.caution}</span>}
          </li>
        ))}
      </ul>
      <p className="mt-1.5 font-semibold">{hot.follow}</p>
      {hot.escalate && (
        <p className="marked mt-1.5 font-semibold" data-testid="escalate">
          {hot.escalate}
        </p>
      )}
    </>
  );
}
