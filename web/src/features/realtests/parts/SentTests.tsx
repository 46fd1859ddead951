import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Loading, Trouble } from '../../../ui/States';
import { useDone } from '../../mailbox';
import { toCleanUp, verdict, type Sent } from '../model';
import { useCleanUp, useRealTests } from '../queries';

const STAND: Record<Sent['lines'][number]['stand'], string> = {
  DONE: '',
  BEYOND: '',
  AWAITED: 'text-ink2',
  WAITS: 'font-semibold',
  NOT_DONE: '',
  STUCK: 'font-semibold text-clay',
};

/** What came of the tests that were sent. */
export function SentTests() {
  const tests = useRealTests();
  if (tests.isPending) {
    return <Loading what="Looking what came of tests" />;
  }
  if (tests.isError) {
    return <Trouble text={problemText(tests.error)} onRetry={() => void tests.refetch()} />;
  }
  if (tests.data.length === 0) {
    return null;
  }
  return (
    <section aria-label="Sent" className="grid gap-2">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="grow font-bold">What came of it</h2>
        <CleanUp tests={toCleanUp(tests.data)} />
      </div>
      <ul className="grid gap-2">
        {tests.data.map((test) => (
          <OneSent key={test.id} test={test} />
        ))}
      </ul>
    </section>
  );
}

function CleanUp({ tests }: { tests: string[] }) {
  const cleanUp = useCleanUp();
  const { tell } = useDone();
  if (tests.length === 0) {
    return null;
  }
  return (
    <>
      {cleanUp.isError && <Trouble text={problemText(cleanUp.error)} />}
      <Button
        small
        disabled={cleanUp.isPending}
        onClick={() =>
          cleanUp.mutate(tests, {
            onSuccess: ({ removed, left }) =>
              tell({
                text: [
                  `${counted(removed, 'message')} of tests removed.`,
                  ...left.map((one) => `Left: ${one.words}.`),
                ].join(' '),
              }),
          })
        }
      >
        {cleanUp.isPending ? 'Cleaning up …' : `Clean up after ${counted(tests.length, 'test')}`}
      </Button>
    </>
  );
}

function OneSent({ test }: { test: Sent }) {
  const { words, good } = verdict(test);
  return (
    <li
      className={`rounded-md border px-3 py-2 text-[13.5px] ${good === false ? 'border-clay' : 'border-line'}`}
    >
      <div className="flex flex-wrap items-baseline gap-x-2.5">
        <b className="min-w-0 grow truncate">
          <bdi>{test.name}</bdi>
        </b>
        <span
          role="status"
          className={`font-semibold ${good === undefined ? 'text-ink2' : good ? 'text-moss' : 'text-clay'}`}
        >
          {words}
        </span>
      </div>
      <p className="text-sm text-ink2">
        sent {dayAndTime(test.at)} from {test.sender} by {test.by}
        {test.cleanedAt !== undefined && ' · cleaned up'}
      </p>
      <ul className="mt-1 grid gap-0.5">
        {test.lines.map((line, i) => (
          <li key={i} className={`break-words ${STAND[line.stand]}`}>
            {line.what ? `${line.what.words}: ${line.how.words}` : line.how.words}
          </li>
        ))}
        {test.unmet.length > 0 && (
          <li className="font-semibold text-clay">
            should be {test.unmet.map((one) => one.words).join(', ')}
          </li>
        )}
      </ul>
    </li>
  );
}
