import { atDoor } from '@/entry/server/at-door';
import { changePassword } from '@/features/people/server/account';

export const POST = atDoor('account', changePassword);
