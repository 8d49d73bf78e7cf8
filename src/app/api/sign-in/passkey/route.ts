import { atDoor } from '@/entry/server/at-door';
import { signInByPasskey } from '@/features/people/server/passkeys';

export const POST = atDoor('passkey', signInByPasskey);
