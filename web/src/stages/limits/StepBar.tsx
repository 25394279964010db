/** What a limit leaves and takes away, of all that was found before any limit. */
export function StepBar({
  before,
  remains,
  lost,
  lacking,
}: {
  before: number | null;
  remains: number | null;
  lost: number | null;
  lacking: number | null;
}) {
  const share = (part: number | null) =>
    before === null || before === 0 || part === null ? 0 : (100 * Math.max(0, part)) / before;
  const unjudged = Math.min(lacking ?? 0, lost ?? 0);
  return (
    <span
      className="flex h-2.5 w-full overflow-hidden rounded-sm"
      style={{ background: 'var(--bar-rest)' }}
      aria-hidden="true"
    >
      <span style={{ width: `${share(remains)}%`, background: 'var(--bar-adds)' }} />
      <span style={{ width: `${share((lost ?? 0) - unjudged)}%`, background: 'var(--bar-lost)' }} />
      <span
        style={{
          width: `${share(unjudged)}%`,
          background: 'repeating-linear-gradient(135deg, var(--bar-lost) 0 3px, var(--bar-rest) 3px 6px)',
        }}
      />
    </span>
  );
}
