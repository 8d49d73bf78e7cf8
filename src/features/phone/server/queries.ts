import qrcode from 'qrcode';
import { env } from '@/platform/env';
import { codePath, reachOfFailure, type PhoneAddress, type Reach } from '../reach';

const PATIENCE_MS = 3000;

/** Calls an address as a phone would. */
async function reachOf(address: string): Promise<Reach> {
  try {
    const answer = await fetch(`${address}/api/health`, {
      signal: AbortSignal.timeout(PATIENCE_MS),
      redirect: 'manual',
    });
    return answer.ok ? { code: 'REACHED' } : { code: 'OTHER', status: answer.status };
  } catch (error) {
    return reachOfFailure(error);
  }
}

/** The address as a code for a phone's camera. */
function codeOf(address: string): PhoneAddress['code'] {
  const { modules } = qrcode.create(address, { errorCorrectionLevel: 'M' });
  return {
    size: modules.size,
    path: codePath(modules.size, (row, column) => modules.get(row, column) === 1),
  };
}

/** The addresses that phones are to reach, each tried. */
export const phoneAddresses = (): Promise<PhoneAddress[]> =>
  Promise.all(
    env.hosts().map(async (name) => {
      const address = `https://${name}`;
      return { address, reach: await reachOf(address), code: codeOf(address) };
    }),
  );
