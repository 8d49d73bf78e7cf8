import { say } from '@/messages/say';
import { Field } from '@/ui/Field';
import { CodeField } from './CodeField';

/** One-time codes as whoever has them sees them. */
export type CodesView = {
  readonly isOn: boolean;
  /** The secret that was just made, to be put into an app; shown this once. */
  readonly setUp: {
    readonly picture: string;
    readonly key: string;
    readonly backupCodes: readonly string[];
  } | null;
};

/** One-time codes: setting them up, confirming the first one, switching them off. */
export const OwnCodes = ({ codes }: { codes: CodesView }) => (
  <section className="ruled pt-4 flex flex-col gap-3" aria-label={say('people.codeTitle')}>
    <h2>{say('people.codeTitle')}</h2>
    {codes.setUp ? (
      <SetUp setUp={codes.setUp} />
    ) : (
      <>
        <p>{codes.isOn ? say('people.codesOn') : say('people.codesOff')}</p>
        <form action="/api/account" method="post" className="flex flex-col gap-3">
          <Field
            label={say('people.passwordNow')}
            name="current"
            type="password"
            autoComplete="current-password"
            required
          />
          <button
            className="btn w-fit"
            name="act"
            value={codes.isOn ? 'code-end' : 'code-begin'}
            data-testid="codes"
          >
            {codes.isOn ? say('people.codesEnd') : say('people.codesBegin')}
          </button>
        </form>
      </>
    )}
  </section>
);

const SetUp = ({ setUp }: { setUp: NonNullable<CodesView['setUp']> }) => (
  <>
    <p>{say('people.codesScan')}</p>
    <img src={setUp.picture} width={200} height={200} alt={say('people.codesPicture')} />
    <p className="break-words">
      {say('people.codesKey')}: <b data-testid="code-key">{setUp.key}</b>
    </p>
    <p>{say('people.codesWriteDown')}</p>
    <ul className="grid grid-cols-2 gap-x-6 max-w-[320px]" data-testid="backup-codes">
      {setUp.backupCodes.map((code) => (
        <li key={code}>{code}</li>
      ))}
    </ul>
    <form action="/api/account" method="post" className="flex flex-col gap-3">
      <input type="hidden" name="act" value="code-confirm" />
      <CodeField label={say('people.codesConfirm')} />
      <button className="btn key w-fit">{say('people.codesConfirmButton')}</button>
    </form>
  </>
);
