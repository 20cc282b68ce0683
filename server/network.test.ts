import { createServer, get } from 'node:https';
import type { TLSSocket } from 'node:tls';
import { expect, test } from 'vitest';
import { listenOn } from './listen';
import { addressesOf, ownCertificate } from './network';

test('addresses of the network are those that are not of this machine alone', () => {
  const of = (address: string, internal: boolean, family = 'IPv4') => ({ address, internal, family }) as never;
  expect(
    addressesOf(() => ({
      lo: [of('127.0.0.1', true)],
      wlan: [of('192.168.4.7', false), of('fe80::1', false, 'IPv6')],
      none: undefined as never,
    })),
  ).toEqual(['192.168.4.7']);
});

test('a certificate of its own serves https for this machine', async () => {
  const server = createServer(await ownCertificate(), (_request, response) => response.end('hello'));
  const port = await listenOn(server, 0);
  const names = await new Promise<string | undefined>((resolve, reject) => {
    get({ host: '127.0.0.1', port, rejectUnauthorized: false }, (response) => {
      const { subjectaltname, valid_to: until } = (response.socket as TLSSocket).getPeerCertificate();
      expect(new Date(until).getTime()).toBeGreaterThan(Date.now() + 20 * 86_400_000);
      response.resume();
      resolve(subjectaltname);
    }).on('error', reject);
  });
  expect(names).toContain('DNS:localhost');
  expect(names).toContain('IP Address:127.0.0.1');
  server.closeAllConnections();
  server.close();
});
