import type { ReactNode } from 'react';
import { MEMBER_ROLES, type MemberRole } from '@/core/log/entered-by';
import { PLACES } from '@/core/words/places';
import { say } from '@/messages/say';
import { Field } from '@/ui/Field';
import { roleName, roleTells } from '@/entry/role-name';
import { ProblemNote } from './DoorPage';
import { PinField } from './PinField';

/** Who and what a site lets in, as its manager sees it. */
export type PeopleView = {
  readonly members: readonly {
    readonly id: string;
    readonly name: string;
    readonly role: MemberRole;
    /** Whose share a partner sees. */ readonly partner: string | null;
    readonly detail: string;
    readonly isSelf: boolean;
    /** Whether they sign in by a password. */ readonly hasUsername: boolean;
  }[];
  /** What somebody changed in the database about their places. */ readonly changed: readonly string[];
  readonly invitations: readonly { readonly id: string; readonly text: string }[];
  readonly devices: readonly {
    readonly id: string;
    readonly name: string;
    readonly detail: string;
  }[];
  readonly made: {
    readonly address: string;
    readonly code: string;
    readonly text: string;
    readonly isReached: boolean;
    /** It went out by e-mail too. */ readonly isSent: boolean;
  } | null;
  /** Whether links can be sent by e-mail. */ readonly sendsMail: boolean;
  /** What is laid down about entries of trainees. */ readonly traineesCountAtOnce: boolean;
  readonly events: readonly string[];
  readonly problem: string | null;
  /** What stood in the form that invites. */ readonly typed: TypedInvitation;
};
/** What was typed into the form that invites, and was not taken. */
export type TypedInvitation = {
  readonly name?: string;
  readonly role?: string;
  readonly partner?: string;
};

/** A form that does one thing about people. */
const Act = ({
  act,
  also = {},
  children,
  className,
}: {
  act: string;
  also?: Readonly<Record<string, string>>;
  children: ReactNode;
  className?: string;
}) => (
  <form action="/api/people" method="post" className={className}>
    <input type="hidden" name="act" value={act} />
    {Object.entries(also).map(([name, value]) => (
      <input key={name} type="hidden" name={name} value={value} />
    ))}
    {children}
  </form>
);

const RoleOptions = () =>
  MEMBER_ROLES.map((role) => (
    <option key={role} value={role}>
      {roleName(role)}
    </option>
  ));

/** People, shared phones, and links that let in. */
export function People({ view }: { view: PeopleView }) {
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[1080px] grid lg:grid-cols-2 gap-x-10 gap-y-7 items-start">
      <header className="lg:col-span-2 flex flex-col gap-3">
        <h1>{say('people.title')}</h1>
        <ProblemNote text={view.problem} />
        {view.made && <Made made={view.made} />}
      </header>
      <Members members={view.members} changed={view.changed} sendsMail={view.sendsMail} />
      <div className="flex flex-col gap-7">
        <Invite sendsMail={view.sendsMail} typed={view.typed} />
        <Phones devices={view.devices} />
        {view.invitations.length > 0 && <OpenInvitations invitations={view.invitations} />}
        <Trainees countAtOnce={view.traineesCountAtOnce} />
        <Events events={view.events} />
      </div>
    </div>
  );
}

/** The link that was just made, for the phone of whoever is to come in. */
const Made = ({ made }: { made: NonNullable<PeopleView['made']> }) => (
  <section
    role="status"
    data-testid="made-link"
    className="border-[1.6px] border-ink bg-sheet px-4 py-3 flex gap-5 flex-wrap items-center"
  >
    <img src={made.code} width={180} height={180} alt={say('people.codeOfLink')} />
    <div className="flex-1 min-w-[240px] flex flex-col gap-2">
      <p className="font-semibold">{made.text}</p>
      <p className="break-all" data-testid="made-address">
        {made.address}
      </p>
      <p className="hint">{say('people.shownOnce')}</p>
      {made.isSent && <p className="hint">{say('people.mailSent')}</p>}
      {!made.isReached && (
        <p className="font-semibold">
          {say('people.onlyThisMachine')}{' '}
          <a className="link" href="/phone">
            {PLACES.phone.name}
          </a>
        </p>
      )}
    </div>
  </section>
);

const Members = ({
  members,
  changed,
  sendsMail,
}: Pick<PeopleView, 'members' | 'changed' | 'sendsMail'>) => (
  <section className="flex flex-col" aria-label={say('people.people')}>
    <h2>{say('people.people')}</h2>
    {changed.map((text) => (
      <p key={text} role="alert" className="marked font-semibold">
        {text}
      </p>
    ))}
    {members.map((m) => (
      <div key={m.id} className="ruled py-3 flex flex-col gap-2" data-testid="member">
        <p>
          <b>{m.name}</b>, {roleName(m.role)}
        </p>
        <p className="hint">{m.detail}</p>
        {!m.isSelf && (
          <details>
            <summary className="min-h-target cursor-pointer">{say('people.change')}</summary>
            <div className="flex gap-4 flex-wrap items-end">
              <Act act="role" also={{ person: m.id }} className="flex gap-2 items-end flex-wrap">
                <label className="flex flex-col">
                  <span className="label">{say('people.role')}</span>
                  <select className="field" name="role" defaultValue={m.role}>
                    <RoleOptions />
                  </select>
                </label>
                <label className="flex flex-col">
                  <span className="label">{say('people.partnerName')}</span>
                  <input
                    className="field"
                    name="partner"
                    maxLength={120}
                    defaultValue={m.partner ?? ''}
                    autoComplete="off"
                  />
                </label>
                <button className="btn">{say('people.saveRole')}</button>
              </Act>
              <Act act="end" also={{ person: m.id }}>
                <button className="btn">{say('people.endMembership')}</button>
              </Act>
            </div>
            <p className="hint mt-2">{say('people.endMembershipHow')}</p>
            <GetBackIn person={m.id} hasUsername={m.hasUsername} sendsMail={sendsMail} />
          </details>
        )}
      </div>
    ))}
  </section>
);

/** For whoever forgot a password, and for the PIN of a name. */
const GetBackIn = ({
  person,
  hasUsername,
  sendsMail,
}: {
  person: string;
  hasUsername: boolean;
  sendsMail: boolean;
}) => (
  <>
    {hasUsername && (
      <Act act="renew" also={{ person }} className="mt-3">
        {sendsMail && <EmailField />}
        <button className="btn">{say('people.renewLink')}</button>
        <p className="hint mt-1">{say('people.renewLinkHow')}</p>
      </Act>
    )}
    <Act act="pin" also={{ person }} className="mt-3 flex gap-2 items-start flex-wrap">
      <PinField hint={say('people.pinForm')} />
      <button className="btn mt-6">{say('people.pinSave')}</button>
    </Act>
  </>
);

/** Where a link goes by e-mail too. */
const EmailField = () => (
  <Field
    label={say('people.email')}
    name="email"
    type="email"
    maxLength={200}
    autoComplete="off"
    hint={say('people.emailHow')}
  />
);

/** Most who are invited work at the batches. */
const invitedRole = (typed: string | undefined): MemberRole =>
  MEMBER_ROLES.find((role) => role === typed) ?? 'crew';

const Invite = ({ sendsMail, typed }: Pick<PeopleView, 'sendsMail' | 'typed'>) => (
  <section aria-label={say('people.invite')}>
    <h2>{say('people.invite')}</h2>
    <Act act="invite" className="flex flex-col gap-3">
      <Field
        label={say('people.name')}
        name="name"
        defaultValue={typed.name}
        minLength={2}
        maxLength={60}
        required
        autoComplete="off"
      />
      <fieldset>
        <legend className="label">{say('people.role')}</legend>
        {MEMBER_ROLES.map((role) => (
          <label key={role} className="flex items-start gap-2 min-h-target py-1">
            <input
              type="radio"
              name="role"
              value={role}
              defaultChecked={role === invitedRole(typed.role)}
              className="size-5 mt-0.5 shrink-0"
            />
            <span>
              <b>{roleName(role)}</b>: {roleTells(role)}
            </span>
          </label>
        ))}
      </fieldset>
      <Field
        label={say('people.partnerName')}
        name="partner"
        defaultValue={typed.partner}
        maxLength={120}
        autoComplete="off"
        hint={say('people.partnerNameHow')}
      />
      {sendsMail && <EmailField />}
      <button className="btn key w-fit">{say('people.makeLink')}</button>
    </Act>
  </section>
);

const Phones = ({ devices }: Pick<PeopleView, 'devices'>) => (
  <section aria-label={say('people.sharedPhones')}>
    <h2>{say('people.sharedPhones')}</h2>
    <p className="hint">{say('people.sharedPhonesHow')}</p>
    {devices.map((d) => (
      <div key={d.id} className="ruled py-3 flex gap-4 items-center flex-wrap" data-testid="device">
        <p className="flex-1">
          <b>{d.name}</b> <span className="hint">{d.detail}</span>
        </p>
        <Act act="revoke" also={{ device: d.id }}>
          <button className="btn">{say('people.disconnect')}</button>
        </Act>
      </div>
    ))}
    <Act act="connect" className="ruled pt-3 flex flex-col gap-3">
      <Field
        label={say('people.phoneName')}
        name="name"
        maxLength={60}
        required
        autoComplete="off"
        hint={say('people.phoneNameHow')}
      />
      <button className="btn w-fit">{say('people.makeLink')}</button>
    </Act>
  </section>
);

const OpenInvitations = ({ invitations }: Pick<PeopleView, 'invitations'>) => (
  <section aria-label={say('people.openLinks')}>
    <h2>{say('people.openLinks')}</h2>
    {invitations.map((i) => (
      <div key={i.id} className="ruled py-2 flex gap-4 items-center flex-wrap">
        <p className="flex-1">{i.text}</p>
        <Act act="withdraw" also={{ invitation: i.id }}>
          <button className="btn">{say('people.withdraw')}</button>
        </Act>
      </div>
    ))}
  </section>
);

const Trainees = ({ countAtOnce }: { countAtOnce: boolean }) => {
  const choices = [
    { value: 'checked', label: say('people.traineesChecked'), isChosen: !countAtOnce },
    { value: 'at-once', label: say('people.traineesAtOnce'), isChosen: countAtOnce },
  ];
  return (
    <section aria-label={say('people.trainees')}>
      <h2>{say('people.trainees')}</h2>
      <p className="hint">{say('people.traineesHow')}</p>
      <Act act="trainees" className="flex flex-col gap-1">
        {choices.map(({ value, label, isChosen }) => (
          <label key={value} className="flex items-center gap-2 min-h-target">
            <input
              type="radio"
              name="count"
              value={value}
              defaultChecked={isChosen}
              className="size-5 shrink-0"
            />
            {label}
          </label>
        ))}
        <button className="btn w-fit">{say('people.traineesSave')}</button>
      </Act>
    </section>
  );
};

const Events = ({ events }: Pick<PeopleView, 'events'>) =>
  events.length > 0 && (
    <details>
      <summary className="min-h-target cursor-pointer font-semibold">
        {say('people.whatHappened')}
      </summary>
      <ul>
        {events.map((e) => (
          <li key={e} className="border-b border-rule py-1">
            {e}
          </li>
        ))}
      </ul>
    </details>
  );
