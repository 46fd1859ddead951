import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { useChangeComposed, useComposing, type Composed } from '../queries';

interface Props {
  step: string;
  /** Missing until the composing service is asked. */
  composed: Composed | undefined;
  /** A person has written the reply anew. */
  edited: boolean;
}

/** How far composing a reply is, and what can be had in its place. */
export function ComposedNote({ step, composed, edited }: Props) {
  const composing = useComposing();
  const change = useChangeComposed(step);
  if (edited || composing.data === undefined) {
    return null;
  }
  const isComposed = composed?.progress === 'COMPOSED';
  const mayAsk = composed?.progress === 'NOT_COMPOSED' || composed?.progress === 'SET_ASIDE';
  return (
    <div className="mb-1.5 flex flex-wrap items-center gap-x-2 text-sm text-ink2" aria-live="polite">
      <span>{inWords(composed, composing.data.host)}</span>
      {isComposed && (
        <Button small disabled={change.isPending} onClick={() => change.mutate('set aside')}>
          Use the rule’s own reply
        </Button>
      )}
      {mayAsk && composing.data.host !== undefined && (
        <Button small disabled={change.isPending} onClick={() => change.mutate('compose')}>
          Compose again
        </Button>
      )}
      {change.isError && <span className="text-clay">{problemText(change.error)}</span>}
    </div>
  );
}

function inWords(composed: Composed | undefined, host: string | undefined): string {
  switch (composed?.progress) {
    case 'COMPOSED':
      return `Composed from the message by ${host ?? 'a composing service'}.`;
    case 'NOT_COMPOSED':
      return `Nothing was composed: ${composed.because?.words ?? ''}. This is the rule’s own reply.`;
    case 'SET_ASIDE':
      return 'This is the rule’s own reply; the composed one was set aside.';
    default:
      return host === undefined
        ? 'No composing service is set up. This is the rule’s own reply.'
        : `A reply is being composed${composed?.because ? `: ${composed.because.words}, it is asked again` : ''}. Until then, this is the rule’s own reply.`;
  }
}
