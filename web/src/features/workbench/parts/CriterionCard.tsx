import type { Schemas } from '../../../api/client';
import { count } from '../../../lib/numbers';
import { Choice } from '../../../ui/Choice';
import { isTest, withValues, type Item, type Test } from '../model';
import { ValueChips } from './ValueChips';

type Kind = 'sender' | 'name' | 'recipient' | 'words';

const KINDS: { value: Kind; text: string }[] = [
  { value: 'sender', text: 'sender' },
  { value: 'name', text: 'sender’s name' },
  { value: 'recipient', text: 'written to' },
  { value: 'words', text: 'words' },
];
const ADDRESS_HOWS = [
  { value: 'at domain or below' as const, text: 'at domain, subdomains too' },
  { value: 'at domain' as const, text: 'at exactly this domain' },
  { value: 'is' as const, text: 'this address' },
];
const WORD_PARTS = [
  { value: 'subject or text' as const, text: 'subject · text' },
  { value: 'subject' as const, text: 'subject' },
  { value: 'text' as const, text: 'text' },
];

interface Props {
  item: Item;
  figures?: Schemas['CriterionFigures'];
  /** What the effect is called: "removes" in an all-of group, "adds" in an any-of group, "spares" among exceptions. */
  effect: string;
  fault?: string;
  onChange: (item: Item) => void;
  onRemove: () => void;
}

export function CriterionCard({ item, figures, effect, fault, onChange, onRemove }: Props) {
  if (!isTest(item.criterion)) {
    return (
      <div className="mb-2 rounded-md border border-line px-2.5 py-2 text-sm">
        A group of criteria, kept as it is.
        <RemoveButton onRemove={onRemove} />
      </div>
    );
  }
  const criterion = item.criterion as Test;
  const set = (change: Partial<Test>) =>
    onChange({ ...item, criterion: { ...criterion, ...change } as Test });
  const isWords = criterion.how === 'contains';
  return (
    <div
      role="group"
      aria-label={`criterion: ${kindOf(criterion)}`}
      className="relative mb-2 rounded-md border border-line px-2.5 py-2"
    >
      <div className="flex flex-wrap items-center gap-1.5 pr-4 text-sm text-ink2">
        <Choice
          label="part"
          value={kindOf(criterion)}
          options={KINDS}
          onChoose={(kind) => onChange({ ...item, criterion: { ...emptyTest(kind), values: [] } as Test })}
        />
        <How test={criterion} onChange={set} />
        <span className="grow" />
        {figures && (
          <span className="figures">
            {effect} {count(figures.effect)}
          </span>
        )}
        <RemoveButton onRemove={onRemove} />
      </div>
      <ValueChips
        label={`add a value to ${kindOf(criterion)}`}
        values={criterion.values}
        figures={figures?.values}
        typing={item.typing}
        isWords={isWords}
        hint={
          isWords
            ? 'a phrase, or paste several …'
            : criterion.how === 'is'
              ? 'an address …'
              : 'a domain or an address …'
        }
        onTyping={(typing) => onChange({ ...item, typing })}
        onAdd={(more) => onChange({ ...item, typing: '', criterion: added(criterion, more) })}
        onRemove={(gone) => set({ values: criterion.values.filter((_, i) => !gone.includes(i)) })}
      />
      {fault && (
        <p role="alert" className="mt-1.5 text-sm text-clay">
          {fault}
        </p>
      )}
    </div>
  );
}

function How({ test, onChange }: { test: Test; onChange: (change: Partial<Test>) => void }) {
  const negation = (yes: string, no: string) => (
    <Choice
      label="yes or no"
      value={test.not ? 'no' : 'yes'}
      options={[
        { value: 'yes', text: yes },
        { value: 'no', text: no },
      ]}
      onChoose={(chosen) => onChange({ not: chosen === 'no' })}
    />
  );
  if (test.part === 'sender' || test.part === 'recipient') {
    return (
      <>
        {negation('is', 'is not')}
        <Choice label="how" value={test.how} options={ADDRESS_HOWS} onChoose={(how) => onChange({ how })} />
      </>
    );
  }
  if (test.part === 'sender name') {
    return negation('contains any of', 'contains none of');
  }
  return (
    <>
      in
      <Choice label="where" value={test.part} options={WORD_PARTS} onChoose={(part) => onChange({ part })} />
      {negation('contain any of', 'contain none of')}
    </>
  );
}

function RemoveButton({ onRemove }: { onRemove: () => void }) {
  return (
    <button
      type="button"
      aria-label="Remove this criterion"
      className="absolute top-1 right-1 rounded px-1 text-ink2 hover:text-ink"
      onClick={onRemove}
    >
      ×
    </button>
  );
}

function kindOf(test: Test): Kind {
  if (test.part === 'sender' || test.part === 'recipient') {
    return test.part;
  }
  return test.part === 'sender name' ? 'name' : 'words';
}

export function emptyTest(kind: Kind): Test {
  switch (kind) {
    case 'sender':
      return { part: 'sender', how: 'at domain or below', values: [] };
    case 'recipient':
      return { part: 'recipient', how: 'is', values: [] };
    case 'name':
      return { part: 'sender name', how: 'contains', values: [] };
    case 'words':
      return { part: 'subject or text', how: 'contains', values: [] };
  }
}

/** Adds values; the first whole address typed where a domain was expected turns the test into one of addresses. */
function added(test: Test, more: string[]): Test {
  const isAddress = more.some((value) => /^[^@\s]+@[^@\s]+$/.test(value));
  const turned = (test.part === 'sender' || test.part === 'recipient') && test.values.length === 0;
  const how = turned ? (isAddress ? 'is' : test.how === 'is' ? 'at domain or below' : test.how) : test.how;
  return { ...test, how, values: withValues(test.values, more) } as Test;
}
