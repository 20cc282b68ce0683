import { networkInterfaces } from 'node:os';
import { generate } from 'selfsigned';

/** Addresses at which other devices of the local network reach this machine. */
export const addressesOf = (interfaces: typeof networkInterfaces = networkInterfaces): string[] =>
  Object.values(interfaces()).flatMap((known) =>
    (known ?? []).filter(({ family, internal }) => family === 'IPv4' && !internal).map(({ address }) => address),
  );

/** How long a certificate of its own holds [days]; it is made anew at every start. */
const HOLDS = 30;

/** Key and certificate for this machine and its addresses, signed by nobody else. */
export async function ownCertificate(): Promise<{ readonly key: string; readonly cert: string }> {
  const until = new Date();
  until.setDate(until.getDate() + HOLDS);
  const names = [
    { type: 2 as const, value: 'localhost' },
    ...['127.0.0.1', ...addressesOf()].map((ip) => ({ type: 7 as const, ip })),
  ];
  const made = await generate([{ name: 'commonName', value: 'Inclinar on this machine' }], {
    keySize: 2048,
    algorithm: 'sha256',
    notAfterDate: until,
    extensions: [{ name: 'subjectAltName', altNames: names }],
  });
  return { key: made.private, cert: made.cert };
}
