import { receive } from '@/entry/server/receive';

export const POST = receive;
