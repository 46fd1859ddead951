import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Trouble } from '../../../ui/States';
import { useRuleBook } from '../../rules';
import { useDismissDrift, useDrifts } from '../queries';

const SHOWN = 4;
const EXAMPLES = 2;

/** How the mail of rules changed in the last weeks, each with the criterion that answers it. */
export function ChangedMail() {
  const book = useRuleBook();
  const drifts = useDrifts(book.data?.version).data ?? [];
  const dismiss = useDismissDrift();
  const names = new Map((book.data?.document.rules ?? []).map((rule) => [rule.id, rule.name]));
  if (drifts.length === 0) {
    return null;
  }
  return (
    <section aria-label="Mail that changed">
      <h2 className="mb-1.5 font-bold">Mail that changed</h2>
      {dismiss.isError && <Trouble text={problemText(dismiss.error)} onRetry={dismiss.reset} />}
      <ul>
        {drifts.slice(0, SHOWN).map((one) => (
          <Changed
            key={one.id}
            of={one}
            rule={names.get(one.rule) ?? ''}
            busy={dismiss.isPending}
            onDismiss={() => dismiss.mutate(one.id)}
          />
        ))}
      </ul>
      {drifts.length > SHOWN && (
        <p className="border-t border-line py-1.5 text-sm text-ink2">
          {counted(drifts.length - SHOWN, 'more change')}, listed once these are dealt with
        </p>
      )}
    </section>
  );
}

interface Props {
  of: Schemas['DriftView'];
  rule: string;
  busy: boolean;
  onDismiss: () => void;
}

function Changed({ of, rule, busy, onDismiss }: Props) {
  const navigate = useNavigate();
  const example = of.messages[0]?.id;
  const open = () =>
    void navigate(`/rules/${of.rule}${example === undefined ? '' : `?add=${example}`}`, {
      state: { changed: of.changed },
    });
  return (
    <li className="border-t border-line py-1.5">
      <Link className="font-semibold hover:underline" to={`/rules/${of.rule}`}>
        {rule}
      </Link>
      <span className="block text-sm break-words">{of.cause.words}</span>
      <ul className="my-0.5 border-l-2 border-line pl-2 text-sm">
        {of.messages.slice(0, EXAMPLES).map((message) => (
          <li key={message.id} className="truncate">
            <Link className="hover:underline" to={`/incoming/${message.id}`}>
              <bdi>{message.subject || '(no subject)'}</bdi>
            </Link>
          </li>
        ))}
      </ul>
      <span className="block text-sm text-ink2">{of.effect.words}</span>
      <span className="mt-1 flex flex-wrap gap-1.5">
        <Button small onClick={open}>
          {of.sort === 'NO_LONGER_PICKED' ? 'Add it to the rule' : 'Add the exception'}
        </Button>
        <Button small look="quiet" disabled={busy} onClick={onDismiss}>
          Dismiss
        </Button>
      </span>
    </li>
  );
}
