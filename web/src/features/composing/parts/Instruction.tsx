import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { TextArea } from '../../../ui/Field';
import { useComposing, useTryInstruction } from '../queries';
import { ComposedText } from './ComposedText';

interface Props {
  instruction: string;
  /** The rule as it is being made; missing while it is not complete. */
  rule: Schemas['Rule'] | undefined;
  order: number;
  onChange: (instruction: string) => void;
}

const LONGEST = 2_000;

/** What a composing service is asked to write, what it is told for that, and a trial of it on past messages. */
export function Instruction({ instruction, rule, order, onChange }: Props) {
  const composing = useComposing();
  const tried = useTryInstruction();
  const host = composing.data?.host;
  return (
    <div className="grid gap-1.5 border-l-2 border-line2 pl-2.5">
      <TextArea
        label="Instruction for composing it"
        rows={3}
        maxLength={LONGEST}
        value={instruction}
        onChange={(e) => onChange(e.target.value)}
      />
      {composing.data && (
        <p className="text-sm text-ink2">
          {host === undefined
            ? 'No composing service is set up, so nothing is composed: the reply above waits for approval as it is.'
            : `What leaves the house: the subject and new text of each picked message, this instruction and the reply above go to ${host}. Addresses and attachments don’t. What it composes waits in Records, under Waiting, until somebody approves it.`}
        </p>
      )}
      {host !== undefined && (
        <div>
          <Button
            small
            disabled={rule === undefined || tried.isPending}
            onClick={() => rule && tried.mutate({ rule, order })}
          >
            Try it on past messages
          </Button>{' '}
          <span className="text-sm text-ink2" aria-live="polite">
            {tried.isPending
              ? 'Composing replies to up to three messages …'
              : 'Needed before the rule is switched on; nothing is sent to anybody else.'}
          </span>
        </div>
      )}
      {tried.isError && <p className="text-sm text-clay">{problemText(tried.error)}</p>}
      {tried.data && <Trial trial={tried.data} />}
    </div>
  );
}

function Trial({ trial }: { trial: Schemas['ComposingTrialView'] }) {
  if (trial.messages.length === 0) {
    return (
      <p className="text-sm text-ink2">
        The rule picks no past message to reply to, so there is nothing to try it on. It can be switched on.
      </p>
    );
  }
  return (
    <ol className="grid gap-2">
      {trial.messages.map(({ message, sentences, because }) => (
        <li key={message.id}>
          <p className="text-sm break-words">
            <b className="font-semibold">{message.subject}</b>, {message.sender}
          </p>
          {because ? (
            <p className="text-sm text-clay">Nothing was composed: {because.words}.</p>
          ) : (
            <ComposedText sentences={sentences} />
          )}
        </li>
      ))}
    </ol>
  );
}
