import { receive } from '@/features/entry/server/receive';

export const POST = receive;
