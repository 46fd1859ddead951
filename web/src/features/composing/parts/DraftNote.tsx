import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { useChangeDraft, useComposing, type Draft } from '../queries';

interface Props {
  step: string;
  /** Missing until the composing service is asked for one. */
  draft: Draft | undefined;
  /** A person has written the reply anew. */
  edited: boolean;
}

/** How far the draft of a reply is, and what can be had in its place. */
export function DraftNote({ step, draft, edited }: Props) {
  const composing = useComposing();
  const change = useChangeDraft(step);
  if (edited || composing.data === undefined) {
    return null;
  }
  const isComposed = draft?.progress === 'COMPOSED';
  const mayAsk = draft?.progress === 'NOT_COMPOSED' || draft?.progress === 'SET_ASIDE';
  return (
    <div className="mb-1.5 flex flex-wrap items-center gap-x-2 text-sm text-ink2" aria-live="polite">
      <span>{inWords(draft, composing.data.host)}</span>
      {isComposed && (
        <Button small disabled={change.isPending} onClick={() => change.mutate('set aside')}>
          Use the rule’s own reply
        </Button>
      )}
      {mayAsk && composing.data.host !== undefined && (
        <Button small disabled={change.isPending} onClick={() => change.mutate('compose')}>
          Compose a draft
        </Button>
      )}
      {change.isError && <span className="text-clay">{problemText(change.error)}</span>}
    </div>
  );
}

function inWords(draft: Draft | undefined, host: string | undefined): string {
  switch (draft?.progress) {
    case 'COMPOSED':
      return `A draft, composed from the message by ${host ?? 'a composing service'}.`;
    case 'NOT_COMPOSED':
      return `There is no draft: ${draft.because?.words ?? ''}. This is the rule’s own reply.`;
    case 'SET_ASIDE':
      return 'This is the rule’s own reply; the draft was set aside.';
    default:
      return host === undefined
        ? 'No composing service is set up. This is the rule’s own reply.'
        : `A draft is being composed${draft?.because ? `: ${draft.because.words}, it is asked again` : ''}. Until then, this is the rule’s own reply.`;
  }
}
