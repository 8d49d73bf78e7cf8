import { atDoor } from '@/entry/server/at-door';
import { nameSite } from '@/features/site/server/name-site';

export const POST = atDoor('site', nameSite);
