import { bringIn } from '@/features/bring/server/bring-in';

export const POST = bringIn;
