import { atDoor } from '@/entry/server/at-door';
import { takePhoto } from '@/entry/server/photos';

export const POST = atDoor('photo', takePhoto);
