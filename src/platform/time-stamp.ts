import { randomBytes } from 'node:crypto';
import { ContentInfo, SignedData } from '@peculiar/asn1-cms';
import { AsnConvert, OctetString } from '@peculiar/asn1-schema';
import {
  MessageImprint,
  PKIStatus,
  TimeStampReq,
  TimeStampReqVersion,
  TimeStampResp,
  TSTInfo,
} from '@peculiar/asn1-tsp';
import { AlgorithmIdentifier } from '@peculiar/asn1-x509';

/** SHA-256, by its number (NIST, RFC 5754). */
const SHA256 = '2.16.840.1.101.3.4.2.1';
const PATIENCE_MS = 15_000;
const NONCE_BYTES = 8;

/** What a service says: this digest was there at this time. */
export type TimeStamp = {
  /** The token as the service signed it (RFC 3161, 2.4.2), DER. */ readonly token: Buffer;
  /** When, by the service's clock, ms. */ readonly at: number;
};

const hexOf = (bytes: ArrayBuffer = new ArrayBuffer(0)): string =>
  Buffer.from(bytes).toString('hex');

/** A random number that ASN.1 keeps as it is: positive, with no zero in front. */
function createNonce(): Buffer {
  const nonce = randomBytes(NONCE_BYTES);
  nonce[0] = ((nonce[0] ?? 0) & 0x7f) | 0x40;
  return nonce;
}

/** What a token vouches for. @throws Error where it is none */
function tokenInfoOf(token: ArrayBuffer): TSTInfo {
  const { content } = AsnConvert.parse(token, ContentInfo);
  const inside = AsnConvert.parse(content, SignedData).encapContentInfo.eContent?.single;
  if (!inside) throw new Error('the time stamp holds nothing');
  return AsnConvert.parse(inside.buffer, TSTInfo);
}

/** The digest that a token vouches for, in hexadecimal. @throws Error where it is none */
export const digestOfToken = (token: Uint8Array): string =>
  hexOf(tokenInfoOf(Uint8Array.from(token).buffer).messageImprint.hashedMessage.buffer);

/**
 * Has a service of RFC 3161 vouch that a digest is there now. Who signed that is for whoever checks the token, as `openssl ts` does:
 * here it is compared with what was asked.
 * @param digest SHA-256 in hexadecimal
 * @throws Error where the service does not answer, refuses, or vouches for something else
 */
export async function requestTimeStamp(service: string, digest: string): Promise<TimeStamp> {
  const nonce = createNonce();
  const asked = new TimeStampReq({
    version: TimeStampReqVersion.v1,
    messageImprint: new MessageImprint({
      hashAlgorithm: new AlgorithmIdentifier({ algorithm: SHA256, parameters: null }),
      hashedMessage: new OctetString(Buffer.from(digest, 'hex')),
    }),
    nonce: Uint8Array.from(nonce).buffer,
    certReq: true,
  });
  const answer = await fetch(service, {
    method: 'POST',
    headers: { 'content-type': 'application/timestamp-query' },
    body: AsnConvert.serialize(asked),
    redirect: 'error',
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  if (!answer.ok) throw new Error(`the time stamp service answered ${answer.status}`);
  const { status, timeStampToken } = AsnConvert.parse(await answer.arrayBuffer(), TimeStampResp);
  const isGranted = [PKIStatus.granted, PKIStatus.grantedWithMods].includes(status.status);
  if (!isGranted || !timeStampToken) throw new Error('the time stamp service refused');
  const token = AsnConvert.serialize(timeStampToken);
  const info = tokenInfoOf(token);
  if (
    hexOf(info.messageImprint.hashedMessage.buffer) !== digest ||
    hexOf(info.nonce) !== nonce.toString('hex')
  )
    throw new Error('the time stamp service vouched for something else');
  return { token: Buffer.from(token), at: info.genTime.getTime() };
}
