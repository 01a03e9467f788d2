import { ChevronRight } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import { useWorkspace } from '../store/hooks';
import { trailOf } from './trail';

/** Where one is: each place above this page, a tap away. */
export function Trail() {
  const { pathname } = useLocation();
  const crumbs = trailOf(pathname, useWorkspace());
  if (crumbs.length === 0) return null;
  return (
    <nav aria-label="Where you are" className="no-print mx-auto w-full max-w-[1500px] px-3 pt-1 sm:px-5">
      <ol className="flex flex-wrap items-center text-sm">
        {crumbs.map(({ label, to }) => (
          <li key={to} className="flex min-w-0 items-center">
            <Link to={to} className="inline-flex min-h-11 max-w-72 items-center truncate text-act underline sm:min-h-8">
              {label}
            </Link>
            <ChevronRight aria-hidden className="mx-1 size-4 shrink-0 text-ink-2" />
          </li>
        ))}
      </ol>
    </nav>
  );
}
