/** The addresses of this machine on networks of its own. */
import { BlockList, isIPv4, isIPv6 } from 'node:net';
import { networkInterfaces } from 'node:os';

/** Private and link-local ranges: RFC 1918, RFC 3927, RFC 4193. No certificate of ours is good for any other address. */
export const PRIVATE_RANGES = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16', 'fc00::/7'];

const isPrivate = new BlockList();
for (const range of PRIVATE_RANGES) {
  const [network, prefix] = range.split('/') as [string, string];
  isPrivate.addSubnet(network, Number(prefix), isIPv6(network) ? 'ipv6' : 'ipv4');
}

/** Whether an address is of a network of one's own, or of this machine. As sockets have it: IPv4 may be written as IPv6, and have a zone. */
export function isNear(address: string | undefined): boolean {
  const bare = address?.replace(/^::ffff:(?=\d+\.)/u, '').replace(/%.*$/u, '') ?? '';
  if (isIPv4(bare)) return bare.startsWith('127.') || isPrivate.check(bare);
  return isIPv6(bare) && (bare === '::1' || /^fe[89ab]/iu.test(bare) || isPrivate.check(bare, 'ipv6'));
}

/** The private addresses this machine has now: IPv4 first, in the order of its interfaces; those it gave itself last. */
export function privateAddresses(interfaces = networkInterfaces()): string[] {
  const all = Object.values(interfaces)
    .flatMap((addresses) => addresses ?? [])
    .filter(
      ({ internal, address, family }) => !internal && isPrivate.check(address, family === 'IPv6' ? 'ipv6' : 'ipv4'),
    );
  const rank = ({ address, family }: (typeof all)[number]) =>
    (family === 'IPv6' ? 1 : 0) + (address.startsWith('169.254.') ? 2 : 0);
  return [...new Set(all.sort((a, b) => rank(a) - rank(b)).map(({ address }) => address))];
}

/** An address as it stands in a URL. */
export function inUrl(address: string): string {
  return isIPv6(address) ? `[${address}]` : address;
}
