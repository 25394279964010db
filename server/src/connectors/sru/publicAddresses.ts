/**
 * Which addresses may be called. A name is looked up when it is called and what it stands for is judged then, so that a
 * name which later stands for another address is no way around.
 */
import { lookup, type LookupAddress } from 'node:dns';
import type { LookupFunction } from 'node:net';
import ipaddr from 'ipaddr.js';

/** Whether an IP address is one of the open network: not of this machine, a local network, or reserved. */
export function isPublicAddress(address: string): boolean {
  if (!ipaddr.isValid(address)) return false;
  const parsed = ipaddr.process(address);
  if (parsed.range() !== 'unicast') return false;
  return parsed.kind() === 'ipv4' || isGlobal(parsed as ipaddr.IPv6);
}

/** Of IPv6 only 2000::/3 is the open network (RFC 4291, section 2.4), and not all of that. */
const GLOBAL = ipaddr.IPv6.parse('2000::');
const NOT_GLOBAL: readonly [ipaddr.IPv6, number][] = [
  // for special purposes, with tunnels that carry IPv4 (RFC 2928, RFC 4380)
  [ipaddr.IPv6.parse('2001::'), 23],
  // for documentation (RFC 3849, RFC 9637)
  [ipaddr.IPv6.parse('2001:db8::'), 32],
  [ipaddr.IPv6.parse('3fff::'), 20],
  // IPv4 written inside (RFC 3056)
  [ipaddr.IPv6.parse('2002::'), 16],
];

function isGlobal(address: ipaddr.IPv6): boolean {
  return address.match(GLOBAL, 3) && !NOT_GLOBAL.some(([range, bits]) => address.match(range, bits));
}

class PrivateAddress extends Error {
  readonly code = 'EPRIVATE';
}

/** Looks a name up as `dns.lookup` does, and fails where any of its addresses is private. */
export const publicAddressesOnly: LookupFunction = (name, options, done) => {
  lookup(name, { ...options, all: true }, (error, addresses) => {
    if (error !== null) return done(error, '', 0);
    const refused = addresses.find(({ address }) => !isPublicAddress(address));
    if (refused !== undefined) return done(new PrivateAddress(refused.address), '', 0);
    const [first] = addresses as [LookupAddress, ...LookupAddress[]];
    if (options.all === true) done(null, addresses);
    else done(null, first.address, first.family);
  });
};
