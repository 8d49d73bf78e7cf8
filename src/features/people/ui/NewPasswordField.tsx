import { say } from '@/messages/say';
import { Field } from '@/ui/Field';

/** A password that is chosen, with what is asked of it. */
export const NewPasswordField = ({
  label,
  problem,
}: {
  label: string;
  problem?: string | undefined;
}) => (
  <Field
    label={label}
    name="password"
    type="password"
    autoComplete="new-password"
    minLength={10}
    required
    hint={say('people.passwordForm')}
    problem={problem}
  />
);
