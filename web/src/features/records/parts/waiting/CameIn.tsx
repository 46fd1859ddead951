import { Link } from 'react-router';
import { problemText } from '../../../../api/problem';
import { dayAndTime } from '../../../../lib/dates';
import { Loading, Trouble } from '../../../../ui/States';
import { useMessage } from '../../../incoming';
import type { Waiting } from '../../waiting';

/** The message that is answered or handed on. */
export function CameIn({ of }: { of: Waiting }) {
  const message = useMessage(of.message.id);
  return (
    <section aria-label="What came in" className="min-w-0 px-4 py-3">
      <h2 className="mb-1.5 text-sm font-semibold text-ink2">What came in</h2>
      <dl className="mb-2.5 grid grid-cols-[64px_minmax(0,1fr)] gap-x-2 text-sm">
        <dt className="text-ink2">from</dt>
        <dd className="font-semibold break-words">
          {message.data?.from
            .map((one) => (one.name ? `${one.name} <${one.address}>` : one.address))
            .join(', ') ?? of.message.sender}
        </dd>
        <dt className="text-ink2">subject</dt>
        <dd className="break-words">
          <bdi>{of.message.subject || '(no subject)'}</bdi>
        </dd>
        <dt className="text-ink2">came</dt>
        <dd>
          {dayAndTime(of.message.received)} · picked by{' '}
          <Link className="font-semibold text-moss hover:underline" to={`/rules/${of.step.rule}`}>
            {of.step.ruleName}
          </Link>
        </dd>
      </dl>
      {message.isPending && <Loading what="Loading the message" />}
      {message.isError && (
        <Trouble text={problemText(message.error)} onRetry={() => void message.refetch()} />
      )}
      {message.data && (
        <div className="rounded border border-line2 px-3 py-2 break-words whitespace-pre-wrap">
          {message.data.texts.join('\n\n') || 'This message has no text.'}
        </div>
      )}
      {message.data && message.data.attachments.length > 0 && (
        <p className="mt-1 text-sm text-ink2">
          with {message.data.attachments.map((file) => file.name || file.mediaType).join(', ')}
        </p>
      )}
      <p className="mt-2 text-sm">
        <Link className="font-semibold text-moss hover:underline" to={`/incoming/${of.message.id}`}>
          Open the message, and why it was picked
        </Link>
      </p>
    </section>
  );
}
