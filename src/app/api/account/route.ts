import { atDoor } from '@/entry/server/at-door';
import { changeAccount } from '@/features/people/server/account';

export const POST = atDoor('account', changeAccount);
