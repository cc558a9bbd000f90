import type { IncomingMessage } from 'node:http';
import { describe, expect, test } from 'vitest';
import { trustedProxies } from './whereFrom';

const asked = (remoteAddress: string, headers: Record<string, string> = {}) =>
  ({ socket: { remoteAddress }, connection: { remoteAddress }, headers }) as unknown as IncomingMessage;
const FORGED = { 'x-forwarded-for': '198.51.100.1, 203.0.113.7', 'x-forwarded-proto': 'https' };

describe('where a request comes from', () => {
  test('is what its line says; what it says itself counts for nothing', () => {
    const from = trustedProxies('');
    expect(from(asked('192.0.2.4', FORGED))).toEqual({ address: '192.0.2.4', isSecure: false });
  });

  test('is told by a proxy that is trusted, and by no one before it', () => {
    const from = trustedProxies('loopback, 10.0.0.0/8');
    expect(from(asked('127.0.0.1', FORGED))).toEqual({ address: '203.0.113.7', isSecure: true });
    expect(from(asked('127.0.0.1', { 'x-forwarded-for': '203.0.113.7, 10.1.2.3' })).address).toBe(
      '203.0.113.7',
    );
    expect(from(asked('192.0.2.4', FORGED))).toEqual({ address: '192.0.2.4', isSecure: false });
  });

  test('of a list that names no address is a fault at the start', () => {
    expect(() => trustedProxies('nginx')).toThrow(/invalid/);
  });
});
