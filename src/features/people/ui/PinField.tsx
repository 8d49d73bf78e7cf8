import { say } from '@/messages/say';
import { Field } from '@/ui/Field';

/** A PIN of digits, on the large keys of a phone. */
export const PinField = ({ hint, required = false }: { hint?: string; required?: boolean }) => (
  <Field
    label={say('people.pinField')}
    name="pin"
    type="password"
    inputMode="numeric"
    autoComplete="off"
    pattern="\d{4,8}"
    maxLength={8}
    required={required}
    hint={hint}
  />
);
