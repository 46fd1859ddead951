import { useEvidenceDays } from '../../../mailbox';
import { Accordion } from 'radix-ui';
import { useState } from 'react';
import { withMember } from '../../../../lib/members';
import type { Schemas } from '../../../../api/client';
import { counted } from '../../../../lib/numbers';
import { Button } from '../../../../ui/Button';
import { Choice } from '../../../../ui/Choice';
import { happeningOf } from '../../../rules';
import { Glyph } from '../../../../ui/glyphs';
import { Menu } from '../../../../ui/Menu';
import { Question } from '../../../../ui/Question';
import { useFocusOnAdded } from '../../../../ui/focus';
import { emptyGroup, emptyTest, item, Items, type Criterion, type Item } from '../../../criteria';
import { aroundOf } from '../../around';
import { withSteps, type Asked, type Draft, type Step } from '../../model';
import type { Evidence } from '../../queries';
import { useHours } from '../../../hours';
import { useToday } from '../../../mailbox';
import { Active } from './Active';
import { AddAction } from './AddAction';
import { AllOrAny } from './AllOrAny';
import { EveryMessage } from './EveryMessage';
import { Part } from './Part';
import { StepCard } from '../steps/StepCard';
import { useTemplateNames } from '../../../templates';
import { WhatTheySee } from '../steps/WhatTheySee';
import { criteriaInBrief, picksOutInBrief, stepInBrief } from '../../summary';

interface Props {
  draft: Draft;
  asked: Asked | undefined;
  evidence: Evidence | undefined;
  faults: { path: string; message: string }[];
  mailbox: Schemas['MailboxView'];
  rules: number;
  sample: Schemas['SampleMessage'];
  onChange: (draft: Draft) => void;
}

export function RulePanel({ draft, asked, evidence, faults, mailbox, rules, sample, onChange }: Props) {
  const days = useEvidenceDays();
  const hours = useHours().data;
  const today = useToday();
  const [open, setOpen] = useState('picks');
  const [deleting, setDeleting] = useState(false);
  const around = aroundOf(draft, mailbox, evidence, sample);
  const setItems = (side: 'picksOut' | 'leavesOut', items: Item[]) => onChange({ ...draft, [side]: items });
  const steps = useFocusOnAdded<HTMLDivElement>(draft.does.length);
  const setDoes = (does: Step[]) => onChange(withSteps(draft, does, evidence?.presetEnding));
  const meet = evidence
    ? evidence.counts.picked +
      evidence.counts.leftOut +
      evidence.counts.stoppedEarlier +
      evidence.counts.outsideItsHours
    : undefined;
  return (
    <section data-region aria-label="The rule" className="flex h-full min-h-0 flex-col bg-sheet">
      <div className="px-4 pt-3 pb-2.5">
        <input
          aria-label="Name of the rule"
          className="w-full rounded border border-transparent text-xl font-bold placeholder:font-normal hover:border-line2"
          placeholder={asked ? asked.rule.name : 'a name for this rule'}
          value={draft.name}
          maxLength={200}
          onChange={(e) => onChange({ ...draft, name: e.target.value })}
        />
        <p className="mt-0.5 line-clamp-4 text-[13.5px] text-ink2" title={evidence?.readBack.words}>
          {asked && evidence
            ? evidence.readBack.words
            : 'What the rule does is written here once it picks something out.'}
        </p>
      </div>
      <Accordion.Root
        type="single"
        value={open}
        onValueChange={(now) => now && setOpen(now)}
        className="min-h-0 grow overflow-auto"
      >
        <Part
          value="picks"
          title="Picks out"
          closed={picksOutInBrief(draft)}
          aside={
            meet === undefined
              ? ''
              : `${counted(meet, 'message')} of ${evidence?.messages.toLocaleString('en-GB')}`
          }
        >
          {!draft.everything && draft.picksOut.length > 1 && (
            <div className="mb-2 text-sm text-ink2">
              mail that meets{' '}
              <Choice
                label="all or any"
                value={draft.how}
                options={[
                  { value: 'all', text: 'all of these' },
                  { value: 'any', text: 'any of these' },
                ]}
                onChoose={(how) => onChange({ ...draft, how })}
              />
              <AllOrAny how={draft.how} found={evidence?.allOrAny} />
            </div>
          )}
          <Items
            items={draft.picksOut}
            figures={evidence?.picksOut ?? []}
            faults={faults}
            at={`/picksOut/${draft.how}`}
            effect={draft.how === 'all' ? 'removes' : 'adds'}
            onChange={(items) => setItems('picksOut', items)}
          />
          <div className="flex items-center gap-2">
            {!draft.everything && (
              <Button
                small
                look="quiet"
                onClick={() =>
                  setItems('picksOut', [...draft.picksOut, item(emptyTest('words') as Criterion)])
                }
              >
                Add a criterion
              </Button>
            )}
            {!draft.everything && (
              <Menu
                trigger={
                  <Button small look="quiet">
                    more exact …
                  </Button>
                }
                items={[
                  {
                    text: 'a group: several criteria that count as one',
                    onSelect: () => setItems('picksOut', [...draft.picksOut, emptyGroup()]),
                  },
                ]}
              />
            )}
            <EveryMessage draft={draft} last={rules - 1} onChange={onChange} window={evidence?.messages} />
          </div>
        </Part>
        <Part
          value="leaves"
          title="Leaves out"
          closed={criteriaInBrief(draft.leavesOut) || 'nothing'}
          aside={evidence ? `leaves out ${evidence.counts.leftOut}` : ''}
        >
          <Items
            items={draft.leavesOut}
            figures={evidence?.leavesOut ?? []}
            faults={faults}
            at="/leavesOut/any"
            effect="excludes"
            onChange={(items) => setItems('leavesOut', items)}
          />
          <Button
            small
            look="quiet"
            onClick={() => setItems('leavesOut', [...draft.leavesOut, item(emptyTest('words') as Criterion)])}
          >
            Add mail to leave out
          </Button>
        </Part>
        <Part
          value="does"
          title="Does"
          aside=""
          closed={<DoesInBrief does={draft.does} />}
          below={
            open !== 'does' &&
            draft.does.map((step, i) => (
              <div key={i} className="pr-4 pb-1 pl-10 empty:hidden">
                <WhatTheySee step={step} ownAddress={mailbox.address} />
              </div>
            ))
          }
        >
          <div ref={steps}>
            {draft.does.map((step, i) => (
              <StepCard
                key={i}
                step={step}
                around={around}
                onChange={(changed) => setDoes(draft.does.map((s, at) => (at === i ? changed : s)))}
                onRemove={() => setDoes(draft.does.filter((_, at) => at !== i))}
              />
            ))}
          </div>
          {draft.ending === undefined && evidence?.presetEnding === 'stop here' && (
            <p className="mb-2 text-sm text-ink2">
              Later rules stop here, as this rule replies to the message or takes it out of the inbox.{' '}
              <button
                type="button"
                className="font-semibold text-moss hover:underline"
                onClick={() => onChange({ ...draft, ending: 'continue' })}
              >
                Let later rules continue
              </button>
            </p>
          )}
          <AddAction
            isFirst={draft.does.length === 0}
            onAdd={(step) => (step.do === 'delete' ? setDeleting(true) : setDoes([...draft.does, step]))}
          />
          <Question
            open={deleting}
            title="Delete mail for good?"
            yes="Yes, for good"
            onNo={() => setDeleting(false)}
            onYes={() => {
              setDeleting(false);
              setDoes([...draft.does, { do: 'delete' }]);
            }}
          >
            {around.matches === undefined
              ? 'It can’t be restored.'
              : `In the last ${days} days this would have deleted ${counted(around.matches, 'message')} for good.`}{' '}
            The trash is safer.
          </Question>
        </Part>
      </Accordion.Root>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line px-4 py-2 text-sm text-ink2">
        <Active
          active={draft.active}
          opening={mailbox.opening}
          named={hours?.hours.map((one) => one.name) ?? []}
          closes={(hours?.calendars.length ?? 0) > 0}
          today={today}
          onChange={(active) => onChange(withMember(draft, 'active', active))}
        />
        <span>
          Order{' '}
          <Choice
            label="order"
            value={String(draft.order)}
            options={Array.from({ length: rules }, (_, i) => ({ value: String(i), text: String(i + 1) }))}
            onChoose={(order) => onChange({ ...draft, order: Number(order) })}
          />
        </span>
        <Choice
          label="later rules"
          value={draft.ending ?? evidence?.presetEnding ?? 'continue'}
          options={[
            { value: 'continue', text: 'later rules continue' },
            { value: 'stop here', text: 'stop here' },
          ]}
          onChoose={(ending) => onChange({ ...draft, ending })}
        />
      </div>
    </section>
  );
}

function DoesInBrief({ does }: { does: Step[] }) {
  const templates = useTemplateNames();
  if (does.length === 0) {
    return 'nothing yet';
  }
  return (
    <span className="inline-flex items-center gap-1.5">
      {does.map((step, i) => (
        <span key={i} className="inline-flex items-center gap-1">
          {i > 0 && 'then '}
          <Glyph of={happeningOf(step)} /> {stepInBrief(step, templates)}
        </span>
      ))}
    </span>
  );
}
