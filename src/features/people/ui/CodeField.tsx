import { Field } from '@/ui/Field';

/** A one-time code; phones offer the keys for digits, and fill in what they know. */
export const CodeField = ({ label }: { label: string }) => (
  <Field
    label={label}
    name="code"
    autoComplete="one-time-code"
    autoCapitalize="none"
    inputMode="text"
    spellCheck={false}
    maxLength={20}
    required
  />
);
