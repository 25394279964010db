/** A release as people read it; databases that are not ours may not tell one. */
export function releaseText(release: string | undefined): string {
  return release === undefined || release === '' ? 'release not told' : `release ${release}`;
}
