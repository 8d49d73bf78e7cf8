'use client';
import { useState } from 'react';
import { dayFrom, zoneOf } from '@/core/quantity/calendar';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { useEntry, useNamedEntry, type HeapRef } from '@/entry/ui/useEntry';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { sha256InWorker } from '@/workers/sha256';

type Labels = Readonly<
  Record<
    | 'title'
    | 'how'
    | 'until'
    | 'forWhom'
    | 'make'
    | 'chooseDay'
    | 'ready'
    | 'copy'
    | 'openLinks'
    | 'close'
    | 'whyClose',
    string
  >
>;
type Props = {
  readonly batches: readonly { readonly id: string; readonly name: string }[];
  /** Links that are open now. */
  readonly open: readonly { readonly id: string; readonly text: string }[];
  readonly site: HeapRef;
  readonly timeZone: string;
  /** What the form says. The page brings it along: no other page needs these texts. */
  readonly labels: Labels;
};

/** 32 bytes that nobody can guess, in hexadecimal; the log holds their hash alone. */
const createToken = (): string =>
  [...crypto.getRandomValues(new Uint8Array(32))]
    .map((b) => b.toString(16).padStart(2, '0'))
    .join('');
const DAY_MS = 86_400_000;

function LinkForm({
  batches,
  site,
  timeZone,
  labels,
  onMade,
}: Props & { onMade: (token: string) => void }) {
  const [token] = useState(createToken);
  const [openedAt] = useState(() => Date.now());
  const entry = useNamedEntry('inspection', labels.title, site, () => onMade(token));
  const [until, setUntil] = useTyped('until', '');
  const [forWhom, setForWhom] = useTyped('for', '');
  const noon = Date.parse(`${until}T12:00:00Z`);
  const end = Number.isNaN(noon) ? null : dayFrom(zoneOf(timeZone), noon).end;
  const isAhead = end !== null && end > openedAt + DAY_MS;
  return (
    <>
      <Field
        label={labels.until}
        type="date"
        value={until}
        onChange={(e) => setUntil(e.target.value)}
      />
      <Field
        label={labels.forWhom}
        value={forWhom}
        maxLength={200}
        onChange={(e) => setForWhom(e.target.value)}
      />
      <WhenAndWho entry={entry} heap={site} />
      <KeepBar
        entry={entry}
        label={labels.make}
        missing={isAhead ? null : labels.chooseDay}
        onKeep={() =>
          entry.save({
            batches: batches.map((b) => b.id),
            until: end,
            tokenHash: sha256InWorker(token),
            ...(forWhom.trim() ? { for: forWhom.trim() } : {}),
          })
        }
      />
    </>
  );
}

/** A link that is open, and how it is closed before its day. */
function OpenLink({
  link,
  site,
  labels,
}: { link: Props['open'][number] } & Pick<Props, 'site' | 'labels'>) {
  const entry = useEntry('correction', site, () => undefined);
  const [reason, setReason] = useTyped('reason', '');
  const why = reason.trim();
  return (
    <details className="border-b border-rule py-1" data-testid="open-link">
      <summary className="min-h-target cursor-pointer">{link.text}</summary>
      <Field
        label={labels.whyClose}
        value={reason}
        maxLength={200}
        onChange={(e) => setReason(e.target.value)}
      />
      <WhenAndWho entry={entry} heap={site} />
      <KeepBar
        entry={entry}
        label={labels.close}
        missing={why.length < 3 ? labels.whyClose : null}
        onKeep={() => entry.save({ target: link.id, reason: why })}
      />
    </details>
  );
}

/** Makes a link by which somebody from outside reads some batches until a day; it is shown once. */
export function MakeLink(props: Props) {
  const { batches, labels } = props;
  const [token, setToken] = useState<string | null>(null);
  const address = token === null ? '' : `${location.origin}/inspect/${token}`;
  return (
    <div className="px-5 max-sm:px-4 py-5 flex flex-col gap-4 max-w-[640px]">
      <h1>{labels.title}</h1>
      <p>{batches.map((b) => b.name).join(', ')}</p>
      <p>{labels.how}</p>
      {token === null ? (
        <DraftScope name="inspection">
          <LinkForm {...props} onMade={setToken} />
        </DraftScope>
      ) : (
        <div role="status" data-testid="made-link" className="flex flex-col gap-2">
          <p className="font-semibold">{labels.ready}</p>
          <p className="break-all">{address}</p>
          <button
            type="button"
            className="btn w-fit"
            onClick={() => void navigator.clipboard.writeText(address)}
          >
            {labels.copy}
          </button>
        </div>
      )}
      {props.open.length > 0 && <h2 className="!text-says">{labels.openLinks}</h2>}
      {props.open.map((link) => (
        <DraftScope key={link.id} name={`close ${link.id}`}>
          <OpenLink link={link} site={props.site} labels={labels} />
        </DraftScope>
      ))}
    </div>
  );
}
