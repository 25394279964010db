import { isIP } from 'node:net';
import type { CallBudget } from '@even-lantern/contract';
import { isPublicAddress } from './sru/publicAddresses.js';

/** What a server of our own bears: it is bounded only so that one review cannot crowd others out. */
export const OWN_BUDGET: CallBudget = { atOnce: 6, perSecond: null };
/** What a server that others pay for bears without complaint, when nothing is known of it. */
const FOREIGN_BUDGET: CallBudget = { atOnce: 3, perSecond: 5 };

/** How much a server may be asked, by where it is: on this machine or in its own networks, or elsewhere. */
export function proposedBudget(address: string): CallBudget {
  const host = new URL(address).hostname.replace(/^\[|\]$/g, '');
  const own = isIP(host) === 0 ? host === 'localhost' || host.endsWith('.localhost') : !isPublicAddress(host);
  return own ? OWN_BUDGET : FOREIGN_BUDGET;
}
