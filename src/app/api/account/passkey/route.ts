import { atDoor } from '@/entry/server/at-door';
import { addPasskey } from '@/features/people/server/passkeys';

export const POST = atDoor('passkey', addPasskey);
