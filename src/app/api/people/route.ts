import { atDoor } from '@/entry/server/at-door';
import { managePeople } from '@/features/people/server/manage';

export const POST = atDoor('people', managePeople);
