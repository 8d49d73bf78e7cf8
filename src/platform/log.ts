import pino from 'pino';

export const log = pino({ level: 'info', base: undefined });
