import type { IncomingMessage } from 'node:http';
import proxyAddr from 'proxy-addr';

/** Where a request comes from. */
export interface WhereFrom {
  /** Of whoever asks; of the proxy, where none is trusted. */
  address: string;
  /** Whether it reached us, or a proxy that we trust, by TLS. */
  isSecure: boolean;
}

/**
 * Addresses of proxies whose word is taken for where a request comes from: MOWING_PROXIES, parted by commas (also `loopback`, or a range
 * as 10.0.0.0/8). Everybody else may write what she likes into such headers.
 */
export function trustedProxies(
  text = process.env.MOWING_PROXIES ?? '',
): (request: IncomingMessage) => WhereFrom {
  const names = text.split(',').map((name) => name.trim());
  const trust = proxyAddr.compile(names.filter((name) => name !== ''));
  return (request) => {
    const direct = request.socket.remoteAddress ?? '';
    const isTold = direct !== '' && trust(direct, 0);
    const proto = String(request.headers['x-forwarded-proto'] ?? '')
      .split(',')[0]
      .trim();
    return {
      address: proxyAddr(request, trust),
      isSecure: process.env.MOWING_TLS === '1' || (isTold && proto === 'https'),
    };
  };
}
