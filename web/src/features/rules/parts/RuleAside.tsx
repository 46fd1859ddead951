import { marksInWords } from '../../../lib/flags';
import { folderInWords } from '../../../lib/folders';
import { counted } from '../../../lib/numbers';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Button } from '../../../ui/Button';
import { Glyph } from '../../../ui/glyphs';
import { Question } from '../../../ui/Question';
import type { Schemas } from '../../../api/client';
import { happeningOf, sendersOf, type Rule } from '../model';
import { releaseInWords } from '../release';
import { usedInWords, type RuleUse } from '../use';
import { WaitsFor } from '../../destinations';
import { TrialsOfRule } from '../../trials';
import { CopyFor } from './CopyFor';
import { Findings } from './Findings';

interface Props {
  rule: Rule;
  sentence: string;
  onOpen: () => void;
  onSwitch: (on: boolean) => void;
  onRemove: () => void;
  onCopy: () => void;
  /** Opens a copy that takes mail of another sender. */
  onCopyFor: (sender: string) => void;
  /** Unknown until it has been counted. */
  use: RuleUse | undefined;
  /** Their names, by id. */
  templates: Map<string, string>;
  onRemedy: (finding: Schemas['FindingView']) => void;
  findings: Schemas['FindingView'][];
  /** Addresses outside that have not agreed. */
  waits: Schemas['DestinationView'][];
}

export function RuleAside({
  rule,
  sentence,
  findings,
  onOpen,
  onSwitch,
  onRemove,
  onCopy,
  onCopyFor,
  onRemedy,
  use,
  templates,
  waits,
}: Props) {
  const navigate = useNavigate();
  const [copying, setCopying] = useState(false);
  const [asked, setAsked] = useState(false);
  return (
    <aside
      data-region
      aria-label="The selected rule"
      className="max-h-[42%] shrink-0 overflow-auto border-t border-line2 bg-sheet px-4 py-3.5 min-[1100px]:max-h-none min-[1100px]:w-[340px] min-[1100px]:border-t-0 min-[1100px]:border-l min-[1100px]:border-line"
    >
      <h2 className="text-lg font-bold">{rule.name}</h2>
      <p className="mt-1 text-ink2">{sentence}</p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button small look="go" onClick={onOpen}>
          Open
        </Button>
        <Button small onClick={() => onSwitch(!rule.on)}>
          {rule.on ? 'Pause' : 'Switch on'}
        </Button>
        <Button small look="quiet" onClick={onCopy}>
          Copy
        </Button>
        {rule.on && (
          <Button small look="quiet" onClick={() => void navigate(`/records/catch-ups?rule=${rule.id}`)}>
            Catch up …
          </Button>
        )}
        {sendersOf(rule).length > 0 && (
          <Button small look="quiet" onClick={() => setCopying(true)}>
            Copy for another sender …
          </Button>
        )}
        <Button small look="quiet" onClick={() => setAsked(true)}>
          Remove …
        </Button>
      </div>
      {copying && <CopyFor onCopy={onCopyFor} onClose={() => setCopying(false)} />}
      <WaitsFor destinations={waits} />
      <p className="mt-3 text-sm text-ink2">{use ? usedInWords(use) : '…'}</p>
      <div className="mt-2">
        <TrialsOfRule rule={rule.id} />
      </div>
      <Findings findings={findings} onRemedy={onRemedy} />
      <h3 className="mt-5 mb-1 text-sm font-semibold text-ink2">Does, in this order</h3>
      <ul>
        {rule.does.map((step, i) => (
          <li key={i} className="flex items-start gap-2 border-t border-line py-1.5">
            <Glyph of={happeningOf(step)} />
            <span>
              {[stepInWords(step, templates), releaseInWords(step)].filter((part) => part !== '').join(', ')}
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-4 text-sm text-ink2">
        What it did is in{' '}
        <Link className="font-semibold text-moss" to={`/records?rule=${rule.id}`}>
          Records
        </Link>
        .
      </p>
      <Question
        open={asked}
        title={`Remove “${rule.name}”?`}
        yes="Remove it"
        onNo={() => setAsked(false)}
        onYes={onRemove}
      >
        What it did stays in Records. You can undo this right after.
      </Question>
    </aside>
  );
}

function stepInWords(step: Rule['does'][number], templates: Map<string, string>): string {
  switch (step.do) {
    case 'forward':
      return `forward to ${destinations(step)}`;
    case 'redirect':
      return `redirect to ${destinations(step)}`;
    case 'reply':
      return `reply: “${answerInWords(step, templates)}”, ${step.timesADay ? `to each request, at most ${step.timesADay} a day` : `once per sender in ${step.oncePerDays ?? 7} days`}`;
    case 'file':
      return `file in ${intoInWords(step)}`;
    case 'mark':
      return `mark ${marksInWords(step.flags, step.tags ?? [], step.remove)}`;
    case 'copy':
      return `copy to ${intoInWords(step)}`;
    case 'remind':
      return `remind me within ${step.days} days`;
    case 'follow up':
      return `bring back after ${counted(step.workingDays, 'working day')} unless somebody deals with it`;
    case 'out of junk':
      return 'move out of junk';
    case 'archive':
      return 'move it to the archive folder';
    case 'trash':
      return 'moved to the trash';
    case 'delete':
      return 'delete for good';
    case 'keep':
      return 'keep in the inbox';
    case 'notify':
      return 'notify me';
  }
}

function destinations(step: Extract<Rule['does'][number], { to: string[] }>): string {
  return [...step.to, ...(step.groups ?? []).map((group) => `the group ${group}`)].join(', ');
}

type AnswerStep = Extract<Rule['does'][number], { do: 'reply' }>;

function answerInWords(step: AnswerStep, templates: Map<string, string>): string {
  return step.template === undefined
    ? step.subject || 'Auto: …'
    : (templates.get(step.template) ?? 'a template that no longer exists');
}

function intoInWords(step: Extract<Rule['does'][number], { folder: string }>): string {
  const each = step.perSender
    ? ', one folder for each sender'
    : step.perValue
      ? ', one folder for each value listed'
      : '';
  return `${folderInWords(step)}${each}`;
}
