import { say } from '@/messages/say';
import type { PasskeyLabels } from '../ui/PasskeyForms';

/** What stands on a form for passkeys: the browser's own texts need not hold it. */
export const passkeyLabels = (button: string): PasskeyLabels => ({
  button,
  name: say('people.passkeyName'),
  password: say('people.passwordNow'),
  unfit: say('people.passkeyUnfit'),
  broken: say('people.passkeyFailed'),
});
