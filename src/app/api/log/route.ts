import { atDoor } from '@/entry/server/at-door';
import { receive } from '@/entry/server/receive';

export const POST = atDoor('log', receive);
