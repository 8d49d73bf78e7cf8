import { say } from '@/messages/say';
import { env } from '@/platform/env';
import { codePathOf } from '@/platform/qr-code';
import { reachOfFailure, type PhoneAddress, type Reach } from '../reach';

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

/** An address, tried. Where the web server makes its own certificates, a phone is led past the page that says how to trust it. */
async function addressOf(name: string): Promise<PhoneAddress> {
  const address = `https://${name}`;
  const reach = await reachOf(address);
  const home = [say('phone.addToHomeScreen'), say('phone.openBatchesOnceWithSignal')];
  // This computer, too, trusts such a certificate only once it was told to: what answers is the server all the same.
  return env.hasOwnRoot() && (reach.code === 'REACHED' || reach.code === 'UNTRUSTED')
    ? {
        ...{ address, reach: { code: 'REACHED' }, code: codePathOf(`http://${name}/trust`) },
        steps: [say('people.trustStep'), say('people.trustThenStep', { address }), ...home],
      }
    : {
        ...{ address, reach, code: codePathOf(address) },
        steps: [say('phone.pointCameraAtCode'), ...home],
      };
}

/** The addresses that phones are to reach, each tried. */
export const phoneAddresses = (): Promise<PhoneAddress[]> =>
  Promise.all(env.hosts().map(addressOf));
