import { createHmac } from 'node:crypto';
import { lookup } from 'node:dns';
import http from 'node:http';
import https from 'node:https';
import { BlockList, isIP } from 'node:net';
import { MowingError } from '../../../contract/mowingError';

const LIMIT_MS = 10_000;

/** Addresses of this machine and of its own network. */
const INSIDE = new BlockList();
for (const [net, bits] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['224.0.0.0', 3],
] as const)
  INSIDE.addSubnet(net, bits, 'ipv4');
for (const [net, bits] of [
  ['::', 127],
  ['fc00::', 7],
  ['fe80::', 10],
  ['ff00::', 8],
] as const)
  INSIDE.addSubnet(net, bits, 'ipv6');

/** Whether an address is this machine's or lies in its own network. */
export function isInside(address: string): boolean {
  // An IPv4 address in the clothes of an IPv6 one.
  const plain = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1] ?? address;
  return INSIDE.check(plain, isIP(plain) === 6 ? 'ipv6' : 'ipv4');
}

/** Whoever runs Mowing may let it speak to its own network: MOWING_HOOKS_INSIDE=yes. */
const mayGoInside = () => process.env.MOWING_HOOKS_INSIDE === 'yes';

/** The signature of a body: HMAC-SHA256 by the secret, in hex. */
export const signatureOf = (body: string, secret: string): string =>
  createHmac('sha256', secret).update(body).digest('hex');

/**
 * Posts JSON to an address, signed. What a name stands for is looked at as it is connected to: a name cannot lead inside later.
 * @throws MowingError 'bad-request' for an address inside, 'market-down' for one that does not take it: worth another try
 */
export async function postSigned(url: string, body: string, secret: string): Promise<void> {
  const { protocol, hostname } = new URL(url);
  const bare = hostname.replace(/^\[|\]$/g, '');
  if (isIP(bare) !== 0 && isInside(bare) && !mayGoInside()) throw inside(bare);
  const request = protocol === 'https:' ? https.request : http.request;
  await new Promise<void>((resolve, reject) => {
    const fail = (error: unknown) =>
      reject(
        error instanceof MowingError
          ? error
          : new MowingError('market-down', `${hostname} did not take it: ${(error as Error).message}.`),
      );
    const call = request(
      url,
      {
        method: 'POST',
        timeout: LIMIT_MS,
        headers: {
          'content-type': 'application/json',
          'content-length': Buffer.byteLength(body),
          'x-mowing-signature': `sha256=${signatureOf(body, secret)}`,
        },
        lookup: (name, options, done) =>
          lookup(name, options, (error, address, family) => {
            const all = Array.isArray(address) ? address.map((one) => one.address) : [address];
            const wrong = error || mayGoInside() ? undefined : all.find(isInside);
            if (wrong !== undefined) return done(inside(name) as never, address as never, family);
            done(error, address as never, family);
          }),
      },
      (answer) => {
        answer.resume();
        const status = answer.statusCode ?? 0;
        if (status >= 200 && status < 300) resolve();
        else fail(new Error(`it answered ${status}`));
      },
    );
    call.once('timeout', () => call.destroy(new Error(`no answer in ${LIMIT_MS / 1000} seconds`)));
    call.once('error', fail);
    call.end(body);
  });
}

const inside = (name: string) =>
  new MowingError(
    'bad-request',
    `${name} is this machine or its own network. Whoever runs Mowing can allow that with MOWING_HOOKS_INSIDE=yes.`,
  );
