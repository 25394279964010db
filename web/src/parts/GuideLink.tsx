import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** Leads to a page or section of the guide: `concepts`, or `concepts#pasting-a-list`. */
export function GuideLink({
  to,
  label,
  children,
}: {
  to: string;
  /** what it is about, where the text alone does not say */
  label?: string;
  children: ReactNode;
}) {
  return (
    <Link className="link whitespace-nowrap" to={`/guide/${to}`} aria-label={label}>
      {children}
    </Link>
  );
}
