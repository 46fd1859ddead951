import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** Leads to what is to leave and waits, as a button of a row. */
export function ToWaiting({ children }: { children: ReactNode }) {
  return (
    <Link
      className="inline-flex h-[26px] items-center rounded border border-moss bg-sheet px-2 text-sm font-semibold text-moss"
      to="/records?view=waiting"
    >
      {children}
    </Link>
  );
}
