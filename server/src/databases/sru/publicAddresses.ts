/**
 * Which addresses may be called. A name is looked up when it is called and what it stands for is judged then, so that a
 * name which later stands for another address is no way around.
 */
import { lookup, type LookupAddress } from 'node:dns';
import type { LookupFunction } from 'node:net';
import ipaddr from 'ipaddr.js';

/** Whether an IP address is one of the open network: not of this machine, a local network, or reserved. */
export function isPublicAddress(address: string): boolean {
  return ipaddr.isValid(address) && ipaddr.process(address).range() === 'unicast';
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
