import { takePhoto } from '@/entry/server/photos';

export const POST = takePhoto;
