interface SkipLinkProps {
  /** the id of what is gone to */
  to: string;
  children: string;
}

/** The first thing that Tab comes to, and seen only then: past what stands on every screen. */
export function SkipLink({ to, children }: SkipLinkProps) {
  return (
    <a
      className="skip-link"
      href={`#${to}`}
      onClick={(event) => {
        // The address stays as it is.
        event.preventDefault();
        document.getElementById(to)?.focus();
      }}
    >
      {children}
    </a>
  );
}
