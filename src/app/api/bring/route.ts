import { atDoor } from '@/entry/server/at-door';
import { bringIn } from '@/features/bring/server/bring-in';

export const POST = atDoor('import', bringIn);
