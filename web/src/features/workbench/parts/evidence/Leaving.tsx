import type { Schemas } from '../../../../api/client';
import { Glyph } from '../../../../ui/glyphs';

const WHAT: Partial<Record<Schemas['Leaving']['kind'], string>> = {
  FORWARD: 'The forward',
  REDIRECT: 'The redirect',
  REPLY: 'The reply',
};

/** A message that would leave, finished, as whoever gets it sees it. */
export function Leaving({ kind, to, shown, text }: Schemas['Leaving']) {
  return (
    <details className="mt-1.5 rounded-md border border-line px-2.5 py-1.5" open={kind === 'REPLY'}>
      <summary className="cursor-pointer">
        <Glyph of={kind} /> <b>{WHAT[kind]}</b> to <bdi>{to}</bdi>: {shown.subject}
      </summary>
      <p className="mt-1 text-ink2">
        from <bdi>{shown.sender}</bdi> · replies go to <bdi>{shown.answers || 'nobody'}</bdi>
        {shown.attachments.length > 0 && ` · attached: ${shown.attachments.join(', ')}`}
      </p>
      <div className="mt-1 max-h-[180px] overflow-auto break-words whitespace-pre-wrap" tabIndex={0}>
        {text}
      </div>
    </details>
  );
}
