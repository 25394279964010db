/** Whether something follows another so soon that both are one; where the clock was set back meanwhile, they are two. */
export function soonAfter(earlier: string, later: string, withinMs: number): boolean {
  const apart = Date.parse(later) - Date.parse(earlier);
  return apart >= 0 && apart < withinMs;
}
