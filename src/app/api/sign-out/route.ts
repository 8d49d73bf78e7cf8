import { atDoor } from '@/entry/server/at-door';
import { signOut } from '@/features/people/server/sign-in';

export const POST = atDoor('sign-out', signOut);
