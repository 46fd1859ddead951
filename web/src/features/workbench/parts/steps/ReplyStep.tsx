import { useContext, useState } from 'react';
import { withMember } from '../../../../lib/members';
import { Button } from '../../../../ui/Button';
import { Choice } from '../../../../ui/Choice';
import { TextField } from '../../../../ui/Field';
import { Instruction } from '../../../composing';
import { addressFault, ValueChips, withValues } from '../../../criteria';
import { OutsideNotes } from '../../../destinations';
import { OwnText, useTemplates } from '../../../templates';
import type { AnswerOf, Step } from '../../model';
import { AliasTest } from './AliasTest';
import { Identity } from './Identity';
import { TemplateOnTheSpot } from './OnTheSpot';
import type { Around } from '../../around';
import { WhenItGoesOut } from './WhenItGoesOut';
import { EditedRule } from './EditedRule';
import { WhereAnswersGo } from './WhereAnswersGo';

const WRITTEN_HERE = '';
const MOST_A_DAY = 3;

interface Props {
  step: AnswerOf;
  around: Around;
  onChange: (step: Step) => void;
}

/** A reply written here or from a template: its text, where it goes, and how often. */
export function ReplyStep({ step, around, onChange }: Props) {
  const templates = useTemplates();
  const { asked, order } = useContext(EditedRule);
  const [making, setMaking] = useState<'new' | 'this'>();
  const options = (templates.data?.templates ?? []).map((t) => ({ value: t.id, text: t.written.name }));
  const known = step.template === undefined || options.some((o) => o.value === step.template);
  const documents =
    templates.data?.templates.find((one) => one.id === step.template)?.written.documents.length ?? 0;
  const worded = (words: Partial<AnswerOf>) => {
    const changed = { ...step };
    delete changed.template;
    delete changed.subject;
    delete changed.text;
    onChange({ ...changed, ...words });
  };
  return (
    <div className="mt-1.5 grid gap-1.5">
      <p className="text-sm text-ink2">
        replies with{' '}
        <Choice
          label="the reply"
          value={step.template ?? WRITTEN_HERE}
          options={[{ value: WRITTEN_HERE, text: 'a text written here' }, ...options]}
          onChoose={(chosen) =>
            worded(chosen === WRITTEN_HERE ? { subject: '', text: '' } : { template: chosen })
          }
        />
        {step.template !== undefined && known && (
          <Button small look="quiet" onClick={() => setMaking('this')}>
            View it …
          </Button>
        )}
        <Button small look="quiet" onClick={() => setMaking('new')}>
          New template …
        </Button>
      </p>
      {!known && templates.data && (
        <p className="text-sm text-clay">
          This template no longer exists. Replies are held until you choose another.
        </p>
      )}
      {step.template === undefined && (
        <OwnText
          subject={step.subject ?? ''}
          text={step.text ?? ''}
          onChange={(words) => onChange({ ...step, ...words })}
        />
      )}
      <WhereAnswersGo step={step} onChange={onChange} />
      <HowOften step={step} documents={documents} onChange={onChange} />
      <WhenItGoesOut step={step} onChange={onChange} />
      {step.instruction !== undefined && (
        <Instruction
          instruction={step.instruction}
          rule={asked?.rule}
          order={order}
          onChange={(instruction) => onChange({ ...step, instruction })}
        />
      )}
      {around.moves && <NotAnswered step={step} onChange={onChange} />}
      <More step={step} around={around} onChange={onChange} />
      <p className="text-sm text-ink2">
        Never to lists, automatic or mass mail, never twice to one message, and at most three replies a day to
        one sender from all rules together.
      </p>
      {around.aliases.map((alias) => (
        <AliasTest key={alias} alias={alias} />
      ))}
      <TemplateOnTheSpot
        template={making === 'this' ? step.template : undefined}
        open={making !== undefined}
        onClose={() => setMaking(undefined)}
        onMade={(template) => {
          setMaking(undefined);
          if (template !== step.template) {
            worded({ template });
          }
        }}
      />
    </div>
  );
}

/** Of a rule that also moves: what becomes of messages that get no reply. */
function NotAnswered({ step, onChange }: Pick<Props, 'step' | 'onChange'>) {
  return (
    <p className="text-sm text-ink2">
      a message that gets no reply{' '}
      <Choice
        label="a message that gets no reply"
        value={step.keepsUnanswered === true ? 'stays' : 'moves'}
        options={[
          { value: 'stays', text: 'stays in the inbox' },
          { value: 'moves', text: 'is moved all the same' },
        ]}
        onChoose={(chosen) => onChange(withMember(step, 'keepsUnanswered', chosen === 'stays' || undefined))}
      />
    </p>
  );
}

const OFTEN = [
  { value: '1', text: 'once in a day' },
  { value: '3', text: 'once in 3 days' },
  { value: '7', text: 'once in 7 days' },
  { value: '14', text: 'once in 14 days' },
  { value: '30', text: 'once in 30 days' },
  { value: 'each', text: 'at each request, at most 3 a day' },
];

function HowOften({ step, documents, onChange }: Omit<Props, 'around'> & { documents: number }) {
  const now = step.timesADay === undefined ? String(step.oncePerDays ?? 7) : 'each';
  const options = OFTEN.some((one) => one.value === now)
    ? OFTEN
    : [{ value: now, text: `once in ${now} days` }, ...OFTEN];
  return (
    <p className="text-sm text-ink2">
      each sender gets it{' '}
      <Choice
        label="how often"
        value={now}
        options={options}
        onChoose={(chosen) => {
          const each = chosen === 'each';
          const changed = withMember(step, 'timesADay', each ? MOST_A_DAY : undefined);
          onChange(withMember(changed, 'oncePerDays', each ? undefined : Number(chosen)));
        }}
      />
      {documents > 0 && step.timesADay === undefined && (
        <span className="block">Someone who asks again on the same day gets no second reply.</span>
      )}
    </p>
  );
}

function More({ step, around, onChange }: Props) {
  const isPlain =
    !step.quotes && !step.copies && !step.aliases && !step.from && !step.key && !step.inConversations;
  const [open, setOpen] = useState(!isPlain);
  if (!open) {
    return (
      <div>
        <Button small look="quiet" className="-ml-2" onClick={() => setOpen(true)}>
          quote, copies, sent from, other addresses, in conversations …
        </Button>
      </div>
    );
  }
  const flag = (name: 'quotes' | 'inConversations', on: boolean) =>
    onChange(withMember(step, name, on || undefined));
  const addresses = (name: 'copies' | 'aliases') => ({
    values: step[name] ?? [],
    onChange: (now: string[]) => onChange(withMember(step, name, now.length > 0 ? now : undefined)),
  });
  return (
    <div className="grid gap-1.5 text-sm text-ink2">
      {step.instruction === undefined && (
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-moss"
            checked={step.quotes === true}
            onChange={(e) => flag('quotes', e.target.checked)}
          />
          quote the original message below
        </label>
      )}
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-moss"
          checked={step.inConversations === true}
          onChange={(e) => flag('inConversations', e.target.checked)}
        />
        also reply when they answer something we sent
      </label>
      <Identity
        from={step.from}
        around={around}
        onChange={(from) => onChange(withMember(step, 'from', from))}
      />
      <span>send a copy as a separate message to</span>
      <Addresses
        label="add an address for a copy of the reply"
        hint="a colleague’s address …"
        {...addresses('copies')}
      />
      <OutsideNotes addresses={step.copies ?? []} ownDomains={around.ownDomains} />
      <span>also reply to mail sent to these addresses, which reach this mailbox</span>
      <Addresses
        label="add an address that reaches this mailbox"
        hint="another address of yours …"
        {...addresses('aliases')}
      />
      <TextField
        label="Shares its limit with rules using this label"
        placeholder="not shared"
        value={step.key ?? ''}
        onChange={(e) => onChange(withMember(step, 'key', e.target.value || undefined))}
      />
    </div>
  );
}

interface AddressesProps {
  label: string;
  hint: string;
  values: string[];
  onChange: (values: string[]) => void;
}

function Addresses({ label, hint, values, onChange }: AddressesProps) {
  const [typing, setTyping] = useState('');
  return (
    <ValueChips
      label={label}
      values={values}
      typing={typing}
      isWords={false}
      hint={hint}
      onTyping={setTyping}
      fault={addressFault}
      onAdd={(more, left) => {
        setTyping(left);
        onChange(withValues(values, more));
      }}
      onRemove={(gone) => onChange(values.filter((_, i) => !gone.includes(i)))}
    />
  );
}
