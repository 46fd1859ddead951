import { useState } from 'react';
import type { Schemas } from '../../../../api/client';
import { problemText } from '../../../../api/problem';
import { count, counted } from '../../../../lib/numbers';
import { Bars } from '../../../../ui/Bars';
import { Button } from '../../../../ui/Button';
import { Empty, Trouble } from '../../../../ui/States';
import type { Criterion } from '../../../criteria';
import { MessageSheet } from '../../../incoming';
import { LookingThrough } from '../../../mailbox';
import { repliesWait } from '../../../rules';
import type { Asked } from '../../model';
import type { Counter, Evidence } from '../../queries';
import { EvidenceList } from './EvidenceList';
import { SampleMessage } from './SampleMessage';
import { Pinned } from './Pinned';
import { TrustForm } from './TrustForm';

const COUNTERS: { counter: Counter; text: string; key: keyof Evidence['counts'] }[] = [
  { counter: 'PICKED', text: 'Picked', key: 'picked' },
  { counter: 'LEFT_OUT', text: 'Left out', key: 'leftOut' },
  { counter: 'STOPPED_EARLIER', text: 'An earlier rule stops it', key: 'stoppedEarlier' },
  { counter: 'LATER_RULES_ACT', text: 'Later rules also act', key: 'laterRulesAct' },
  { counter: 'NEAR_MISS', text: 'Near miss', key: 'nearMiss' },
  { counter: 'OUTSIDE_ITS_HOURS', text: 'Outside its hours', key: 'outsideItsHours' },
];

interface Props {
  evidence: Evidence | undefined;
  asked: Asked | undefined;
  order: number;
  error: unknown;
  /** View belongs to an earlier state of the rule. */
  isBehind: boolean;
  counter: Counter;
  sample: Schemas['SampleMessage'];
  onSample: (sample: Schemas['SampleMessage']) => void;
  onCounter: (counter: Counter) => void;
  onRetry: () => void;
  /** More messages of the counter are to be listed. */
  onMore: () => void;
  onLeaveOut: (criterion: Criterion) => void;
  onTrustForm: (form: string) => void;
}

export function EvidencePanel(props: Props) {
  const { evidence, asked, error, counter } = props;
  const [open, setOpen] = useState<number>();
  const [writing, setWriting] = useState(false);
  return (
    <section
      data-region
      aria-label="The evidence"
      aria-busy={props.isBehind}
      className="flex h-full min-h-0 min-w-0 flex-col"
    >
      <div className="flex min-h-11 shrink-0 flex-wrap items-center gap-1 border-b border-line bg-sheet px-3 py-1">
        <div role="group" aria-label="Past mail by result" className="flex flex-wrap gap-1">
          {COUNTERS.map(({ counter: one, text, key }) => (
            <button
              key={one}
              type="button"
              aria-pressed={one === counter}
              className={`rounded px-1.5 py-1 text-sm whitespace-nowrap ${one === counter ? 'bg-ink text-sheet' : 'text-ink2'}`}
              onClick={() => props.onCounter(one)}
            >
              {text}
              <b
                className={`figures ml-1 text-[15px] ${one === counter ? '' : 'text-ink'}`}
                data-counter={one}
              >
                {asked && evidence ? count(evidence.counts[key]) : '–'}
              </b>
            </button>
          ))}
        </div>
        <span className="ml-auto hidden min-[1152px]:block">
          {asked && evidence && (
            <Bars
              width={84}
              values={evidence.weeks}
              label={`Picked by week, oldest first: ${evidence.weeks.join(', ')}`}
            />
          )}
        </span>
      </div>
      {writing ? (
        <SampleMessage
          asked={asked}
          order={props.order}
          sample={props.sample}
          onChange={props.onSample}
          onClose={() => setWriting(false)}
        />
      ) : (
        <div className="flex items-center justify-end border-b border-line bg-sheet px-3 py-0.5">
          <span className="grow text-sm" role="status">
            {asked && evidence?.answered !== undefined && (
              <>
                Of {counted(evidence.counts.picked, 'picked message')},{' '}
                <b className="figures">{count(evidence.answered)}</b> would be answered.{' '}
                {repliesWait(asked.rule.does)}{' '}
              </>
            )}
            {asked && (asked.rule.active?.first ?? asked.rule.active?.last) && (
              <span className="text-ink2">
                Its days are left aside here: past mail is shown as if they were now.
              </span>
            )}
          </span>
          <Button small look="quiet" onClick={() => setWriting(true)}>
            Try a sample message …
          </Button>
        </div>
      )}
      {asked && evidence?.example && <Pinned example={evidence.example} onOpen={setOpen} />}
      <div className="min-h-0 grow overflow-auto">
        {error !== null && error !== undefined && (
          <div className="p-3">
            <Trouble text={problemText(error)} onRetry={props.onRetry} />
          </div>
        )}
        {!asked && (
          <Empty>
            <p>The mail this rule would pick appears here as you type.</p>
            <p className="mt-2">Start on the left with a domain, an address or a phrase from a subject.</p>
          </Empty>
        )}
        {asked && !evidence && !error && <LookingThrough />}
        {asked && evidence && evidence.rows.length === 0 && <Empty>{emptyText(counter)}</Empty>}
        {asked && evidence && evidence.rows.length > 0 && (
          <EvidenceList
            evidence={evidence}
            asked={asked}
            order={props.order}
            onOpen={setOpen}
            onLeaveOut={props.onLeaveOut}
            onMore={props.onMore}
          />
        )}
      </div>
      <MessageSheet
        id={open}
        draft={asked && { rule: asked.rule, order: props.order }}
        more={
          asked &&
          ((view) => (
            <TrustForm
              view={view}
              asked={asked}
              order={props.order}
              onTrust={(form) => {
                setOpen(undefined);
                props.onTrustForm(form);
              }}
            />
          ))
        }
        onClose={() => setOpen(undefined)}
      />
    </section>
  );
}

function emptyText(counter: Counter): string {
  switch (counter) {
    case 'PICKED':
      return 'No past message is picked. Check the near misses, change a value on the left, or try a sample message.';
    case 'LEFT_OUT':
      return 'The exceptions leave out nothing.';
    case 'STOPPED_EARLIER':
      return 'No earlier rule stops this mail.';
    case 'LATER_RULES_ACT':
      return 'No later rule acts on the same mail.';
    case 'NEAR_MISS':
      return 'No message fails by one criterion only.';
    case 'OUTSIDE_ITS_HOURS':
      return 'All of it came while the rule is active.';
  }
}
