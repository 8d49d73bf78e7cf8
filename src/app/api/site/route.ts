import { atDoor } from '@/entry/server/at-door';
import { chooseSite } from '@/features/people/server/choose-site';

export const POST = atDoor('site', chooseSite);
