/** @param compact without the name on narrow screens */
export function Mark({ compact = false }: { compact?: boolean }) {
  return (
    <span className="flex items-center gap-2 font-bold whitespace-nowrap">
      <svg viewBox="0 0 24 24" className="h-6 w-6" aria-hidden="true">
        <path
          d="M9 3h6M8 21h8M7 18h10l1-9-3-3H9L6 9z"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.8"
          strokeLinejoin="round"
          strokeLinecap="round"
        />
        <path
          d="M12 9.5c1.7 2 2.4 3.2 2.4 4.3a2.4 2.4 0 0 1-4.8 0c0-1.1.7-2.3 2.4-4.3z"
          fill="var(--color-accent)"
        />
      </svg>
      <span className={compact ? 'max-sm:sr-only' : ''}>Even Lantern</span>
    </span>
  );
}
