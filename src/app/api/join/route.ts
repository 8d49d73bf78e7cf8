import { atDoor } from '@/entry/server/at-door';
import { join } from '@/features/people/server/join';

export const POST = atDoor('join', join);
