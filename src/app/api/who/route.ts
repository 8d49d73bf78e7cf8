import { atDoor } from '@/entry/server/at-door';
import { chooseWho } from '@/features/people/server/choose-who';

export const POST = atDoor('who', chooseWho);
