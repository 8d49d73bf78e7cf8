import { atDoor } from '@/entry/server/at-door';
import { signInByCode } from '@/features/people/server/sign-in';

export const POST = atDoor('code', signInByCode);
