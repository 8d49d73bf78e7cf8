'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { instantsOfLocal } from '@/core/quantity/calendar';
import type { AcceptLine } from '@/core/log/store-shapes';
import { submitOrQueue } from '@/outbox/keep';
import { useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { useSubmit } from '@/ui/useSubmit';

/** The last minute of a day, typed as its date; undefined: none was typed. */
const endOfDay = (timeZone: string, date: string): number | undefined =>
  date === '' ? undefined : instantsOfLocal(timeZone, `${date}T23:59`)[0];

type Materials = readonly { readonly id: string; readonly name: string }[];
type Props = {
  /** The whole list: a permission goes on top of it. */ readonly lines: readonly AcceptLine[];
  readonly materials: Materials;
  readonly timeZone: string;
  readonly by: string;
};

/** Saves the list with a permission more, or one less. */
function useAcceptance(device: string) {
  const router = useRouter();
  const submit = useSubmit(device);
  const saveLines = (lines: readonly AcceptLine[], done: () => void): void => {
    const { id, by, keep } = submit;
    const data = { lines };
    const form = { id, batch: null, kind: 'acceptance', at: null, by, data } as const;
    keep(
      () => submitOrQueue(form, say('log.whatWeAccept2')),
      () => {
        done();
        router.refresh();
      },
    );
  };
  return { submit, saveLines };
}

function usePermission({ lines, timeZone, by: device }: Props) {
  const { submit, saveLines } = useAcceptance(device);
  const [material, setMaterial] = useTyped('material', '');
  const [supplier, setSupplier] = useTyped('supplier', '');
  const [date, setDate] = useTyped('date', '');
  const [reason, setReason] = useTyped('reason', '');
  const until = endOfDay(timeZone, date);
  const line: AcceptLine = {
    material,
    ...(supplier.trim() === '' ? {} : { supplier: supplier.trim() }),
    ...(until === undefined ? {} : { until }),
    answer: 'accept',
    reason: reason.trim(),
  };
  const missing = (): string | null => {
    if (material === '') return say('store.chooseWhatItIs');
    if (supplier.trim() === '' && until === undefined) return say('store.permitNeeds');
    return reason.trim().length < 3 ? say('store.sayWhyInWordOr') : whoIsMissing(submit.by);
  };
  const save = (): void =>
    saveLines([line, ...lines], () => {
      for (const clear of [setMaterial, setSupplier, setDate, setReason]) clear('');
    });
  return {
    ...{ submit, material, setMaterial, supplier, setSupplier, date, setDate, reason, setReason },
    ...{ missing: missing(), save },
  };
}

function PermissionForm(props: Props) {
  const p = usePermission(props);
  return (
    <div className="grid grid-cols-2 max-sm:grid-cols-1 gap-3 max-w-[720px]">
      <label className="label">
        {say('store.material')}
        <select
          className="field mt-1"
          value={p.material}
          onChange={(e) => p.setMaterial(e.target.value)}
        >
          <option value="">{say('lots.choose')}</option>
          {props.materials.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
      </label>
      <Field
        label={say('store.permitFrom')}
        value={p.supplier}
        maxLength={80}
        onChange={(e) => p.setSupplier(e.target.value)}
      />
      <Field
        label={say('store.permitUntil')}
        type="date"
        value={p.date}
        onChange={(e) => p.setDate(e.target.value)}
      />
      <Field
        label={say('store.permitWhy')}
        value={p.reason}
        maxLength={200}
        onChange={(e) => p.setReason(e.target.value)}
      />
      <Field
        label={say('store.who')}
        value={p.submit.by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => p.submit.setBy(e.target.value)}
      />
      <div className="col-span-full">
        <Problems list={p.submit.problems} />
        <SaveButton
          className="btn key"
          label={say('store.savePermission')}
          busy={p.submit.busy}
          missing={p.missing}
          onSave={p.save}
        />
      </div>
    </div>
  );
}

type Permitted = { readonly place: number; readonly material: string; readonly text: string };

/** A permission that holds, with the press that ends it. */
function PermissionLine({
  place,
  material,
  text,
  lines,
  by,
}: Permitted & Pick<Props, 'lines' | 'by'>) {
  const { submit, saveLines } = useAcceptance(by);
  const rest = lines.filter((_, i) => i !== place);
  return (
    <li className="border-b border-rule py-1.5 flex flex-wrap justify-between gap-x-4">
      <span>
        <b className="font-[650]">{material}</b>: {text}
      </span>
      <button
        type="button"
        className="link min-h-target"
        disabled={submit.busy}
        onClick={() => saveLines(rest, () => undefined)}
      >
        {say('store.remove')}
        <span className="sr-only"> {material}</span>
      </button>
      <Problems list={submit.problems} />
    </li>
  );
}

/** What is accepted from one supplier, or for a while, beside the list. */
export function GatePermissions({
  permitted,
  ...props
}: Props & {
  /** Permissions in words, with what they are for. */ readonly permitted: readonly Permitted[];
}) {
  return (
    <section className="flex flex-col gap-2" data-testid="permissions">
      <h2 className="!text-figure">{say('store.permissions')}</h2>
      <p className="hint max-w-[720px]">{say('store.permissionsHow')}</p>
      {permitted.length === 0 && <p>{say('store.noPermissions')}</p>}
      <ul className="ruled max-w-[720px]">
        {permitted.map((p) => (
          <PermissionLine key={`${p.place} ${p.text}`} {...p} lines={props.lines} by={props.by} />
        ))}
      </ul>
      <details>
        <summary className="link min-h-target flex items-center cursor-pointer">
          {say('store.permitSomething')}
        </summary>
        <PermissionForm {...props} />
      </details>
    </section>
  );
}
