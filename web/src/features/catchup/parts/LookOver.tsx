import { useState } from 'react';
import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { count, counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Glyph } from '../../../ui/glyphs';
import { Loading, Trouble } from '../../../ui/States';
import { ShortDate, usePastMail } from '../../mailbox';
import { aboutInWords, agreed, EVERY, lacks } from '../model';
import { useCatchUpPreview, useStartCatchUp, type CatchUp } from '../queries';

type Preview = Schemas['CatchUpPreview'];
type Every = NonNullable<CatchUp['every']>;

const NOTHING = { handOvers: false, replies: false, deletions: false };

/** What a catch-up would do, what has to be said yes to, and the start. */
export function LookOver({ of }: { of: CatchUp }) {
  const [wants, setWants] = useState({ handOvers: false, replies: false });
  const [yes, setYes] = useState(NOTHING);
  const [every, setEvery] = useState<Every | 'ONCE'>(of.every ?? 'ONCE');
  const looked = useCatchUpPreview(of.id, wants.handOvers, wants.replies);
  const start = useStartCatchUp(of.id);
  const cut = usePastMail().data?.cut === true;
  if (looked.isPending) {
    return <Loading what="Looking what would be done" />;
  }
  if (looked.isError) {
    return (
      <div className="px-3 pb-2">
        <Trouble text={problemText(looked.error)} onRetry={() => void looked.refetch()} />
      </div>
    );
  }
  const preview = looked.data;
  const leaves = wants.handOvers || wants.replies;
  const want = (what: Partial<typeof wants>) => {
    setWants({ ...wants, ...what });
    setYes(NOTHING);
  };
  return (
    <div className="grid gap-3 border-t border-line px-3 py-2.5">
      <p>
        {preview.messages === 0 ? (
          `Nothing would be done with the ${counted(preview.looked, 'message')} there.`
        ) : (
          <>
            Of {counted(preview.looked, 'message')} there, the rules would act on{' '}
            <b>{count(preview.messages)}</b>:
          </>
        )}
      </p>
      {cut && (
        <p className="text-clay">
          Not all past mail fits in memory. Only the latest messages are looked at here; older ones stay as
          they are.
        </p>
      )}
      <What preview={preview} />
      <div className="flex flex-wrap gap-x-5 gap-y-1">
        {(wants.handOvers || lacks(preview, 'NO_HAND_OVERS_WANTED')) && (
          <Check
            words="Hand on this old mail, too"
            on={wants.handOvers}
            onChange={(handOvers) => want({ handOvers })}
          />
        )}
        {(wants.replies || lacks(preview, 'NO_REPLIES_WANTED')) && (
          <Check
            words="Reply to this old mail, too"
            on={wants.replies}
            onChange={(replies) => want({ replies })}
          />
        )}
      </div>
      <Agreeing preview={preview} yes={yes} onYes={(more) => setYes({ ...yes, ...more })} />
      <Sample preview={preview} />
      {start.isError && <Trouble text={problemText(start.error)} onRetry={() => void looked.refetch()} />}
      <div className="flex flex-wrap items-center gap-3">
        <Button
          look="go"
          disabled={!agreed(preview, yes) || preview.messages === 0 || start.isPending || looked.isFetching}
          onClick={() =>
            start.mutate({
              ...(wants.handOvers && { handOvers: preview.handOvers }),
              ...(wants.replies && { replies: preview.replies }),
              deletions: preview.deletions,
              ...(every !== 'ONCE' && !leaves && { every }),
            })
          }
        >
          Catch up on {counted(preview.messages, 'message')}
        </Button>
        {!leaves && (
          <Choice
            label="how often"
            value={every}
            options={[
              { value: 'ONCE', text: 'once' },
              ...(Object.keys(EVERY) as Every[]).map((one) => ({ value: one, text: EVERY[one] })),
            ]}
            onChoose={setEvery}
          />
        )}
        {preview.messages > 0 && (
          <span className="text-sm text-ink2">
            It takes {aboutInWords(preview.seconds)}, behind new mail. You can pause, stop and undo it.
          </span>
        )}
      </div>
    </div>
  );
}

function What({ preview }: { preview: Preview }) {
  return (
    <ul aria-label="What would be done" className="grid gap-0.5">
      {preview.does.map((one) => (
        <li key={`${one.kind} ${one.what.words}`} className="flex items-start gap-2">
          <span className="mt-0.5">
            <Glyph of={one.kind} />
          </span>
          <span>
            {one.what.words}: {counted(one.messages, 'message')}
          </span>
        </li>
      ))}
      {preview.left.map((one) => (
        <li key={`${one.what.words} ${one.why.words}`} className="pl-6 text-ink2">
          left out: {one.what.words}, {counted(one.messages, 'message')} ({one.why.words})
        </li>
      ))}
    </ul>
  );
}

interface CheckProps {
  words: string;
  on: boolean;
  onChange: (on: boolean) => void;
}

function Check({ words, on, onChange }: CheckProps) {
  return (
    <label className="flex items-baseline gap-1.5">
      <input
        type="checkbox"
        className="translate-y-0.5 accent-moss"
        checked={on}
        onChange={(e) => onChange(e.target.checked)}
      />
      {words}
    </label>
  );
}

interface AgreeingProps {
  preview: Preview;
  yes: typeof NOTHING;
  onYes: (more: Partial<typeof NOTHING>) => void;
}

/** What can't be undone has a yes of its own, with its number. */
function Agreeing({ preview, yes, onYes }: AgreeingProps) {
  const { handOvers, recipients, replies, answered, deletions } = preview;
  if (handOvers + replies + deletions === 0) {
    return null;
  }
  return (
    <div className="grid gap-2 bg-clay-soft px-3 py-2">
      <p>This can’t be undone:</p>
      {handOvers > 0 && (
        <div>
          <Check
            words={`Yes, hand on ${counted(handOvers, 'message')}`}
            on={yes.handOvers}
            onChange={(on) => onYes({ handOvers: on })}
          />
          <People of={recipients} />
        </div>
      )}
      {replies > 0 && (
        <div>
          <Check
            words={`Yes, send ${counted(replies, 'reply', 'replies')} to old mail`}
            on={yes.replies}
            onChange={(on) => onYes({ replies: on })}
          />
          <People of={answered} />
        </div>
      )}
      {deletions > 0 && (
        <Check
          words={`Yes, delete ${counted(deletions, 'message')} for good`}
          on={yes.deletions}
          onChange={(on) => onYes({ deletions: on })}
        />
      )}
    </div>
  );
}

function People({ of }: { of: Schemas['CatchUpPerson'][] }) {
  return (
    <ul aria-label="Who gets it" tabIndex={0} className="mt-0.5 max-h-32 overflow-auto pl-6 text-sm">
      {of.map((one) => (
        <li key={one.address}>
          <bdi>{one.address}</bdi>: {count(one.messages)}
        </li>
      ))}
    </ul>
  );
}

/** The latest of the messages, each with what would be done. */
function Sample({ preview }: { preview: Preview }) {
  const { sample, messages } = preview;
  if (sample.length === 0) {
    return null;
  }
  return (
    <div>
      <h3 className="text-sm text-ink2">
        {sample.length < messages ? `The latest ${sample.length} of them` : 'The messages'}
      </h3>
      <ul
        aria-label="The messages"
        tabIndex={0}
        className="mt-0.5 max-h-60 overflow-auto border-t border-line"
      >
        {sample.map(({ message, does }) => (
          <li
            key={message.id}
            className="grid grid-cols-[64px_minmax(0,1fr)] gap-x-3 border-b border-line py-1 text-[13.5px] columns:grid-cols-[64px_minmax(0,160px)_minmax(0,1fr)_minmax(0,1fr)]"
          >
            <span className="text-ink2">
              <ShortDate of={message.received} />
            </span>
            <span className="truncate text-ink2">{message.sender}</span>
            <Link className="truncate max-columns:col-start-2 hover:underline" to={`/incoming/${message.id}`}>
              {message.subject || '(no subject)'}
            </Link>
            <span className="truncate text-ink2 max-columns:col-start-2">
              {does.map((one) => one.words).join(', ')}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
