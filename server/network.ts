import { hostname, networkInterfaces } from 'node:os';

/** Private ranges (RFC 1918) and link-local addresses (RFC 3927). */
const PRIVATE = /^(10\.|192\.168\.|169\.254\.|172\.(1[6-9]|2\d|3[01])\.)/;

/** Addresses under which others in the same network reach this computer, and the name that many networks know it by. */
export function inTheNetwork(): { readonly addresses: readonly string[]; readonly name: string } {
  const addresses = Object.values(networkInterfaces())
    .flatMap((of) => of ?? [])
    .filter(({ family, internal, address }) => family === 'IPv4' && !internal && PRIVATE.test(address))
    .map(({ address }) => address);
  const name =
    hostname()
      .split('.')[0]!
      .replace(/[^\w-]/g, '')
      .toLowerCase() || 'zevrin';
  return { addresses: [...new Set(addresses)], name: `${name}.local` };
}
