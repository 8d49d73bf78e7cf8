import { atDoor } from '@/entry/server/at-door';
import { signIn } from '@/features/people/server/sign-in';

export const POST = atDoor('sign-in', signIn);
