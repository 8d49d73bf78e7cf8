import { takePhoto } from '@/features/entry/server/photos';

export const POST = takePhoto;
