import { randomBytes } from 'node:crypto';

const TOKEN_BYTES = 24;

/** The secret part of the address of a feed: whoever knows it may read the feed. */
export function newFeedToken(): string {
  return randomBytes(TOKEN_BYTES).toString('base64url');
}
