import type { Step } from '../../model';
import { threeLines } from '../../summary';

/** The three lines that always stand under a forward or a redirect. */
export function WhatTheySee({ step, ownAddress }: { step: Step; ownAddress: string }) {
  const lines = threeLines(step, ownAddress);
  return (
    lines && (
      <dl className="mt-1.5 grid grid-cols-[96px_1fr] gap-x-2.5 text-sm">
        <dt className="text-ink2">from</dt>
        <dd className="font-medium break-words">{lines.writerShown}</dd>
        <dt className="text-ink2">subject</dt>
        <dd className="font-medium">{lines.subject}</dd>
        <dt className="text-ink2">replies go to</dt>
        <dd className="font-medium break-words">{lines.answersGoTo}</dd>
      </dl>
    )
  );
}
