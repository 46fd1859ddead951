import type { Schemas } from '../../../api/client';
import { count } from '../../../lib/numbers';
import { Choice } from '../../../ui/Choice';
import {
  added,
  emptyTest,
  inBrief,
  isAddress,
  isNumber,
  isTest,
  isTrait,
  kindOf,
  valueFault,
  type Criterion,
  type Item,
  type Kind,
  type Test,
  type ValuedTest,
} from '../model';
import type { CompletionOf } from '../queries';
import { FromAddressBook } from './FromAddressBook';
import { How } from './How';
import { NumberValue } from './NumberValue';
import { RemoveButton } from './RemoveButton';
import { TraitChips } from './TraitChips';
import { ValueChips } from './ValueChips';

const KINDS: { value: Kind; text: string }[] = [
  { value: 'sender', text: 'sender' },
  { value: 'name', text: 'sender’s name' },
  { value: 'recipient', text: 'written to' },
  { value: 'words', text: 'words' },
  { value: 'relationship', text: 'to me, known' },
  { value: 'group', text: 'in a group' },
  { value: 'sent by', text: 'sent by' },
  { value: 'attachments', text: 'attachments' },
  { value: 'attachment name', text: 'attachment’s name' },
  { value: 'size', text: 'size' },
  { value: 'field', text: 'a header field' },
];

interface Props {
  item: Item;
  figures?: Schemas['CriterionFigures'];
  /** What the effect is called: "removes" in an all-of group, "adds" in an any-of group, "excludes" among exceptions. */
  effect: string;
  fault?: string;
  onChange: (item: Item) => void;
  onRemove: () => void;
}

export function CriterionCard({ item, figures, effect, fault, onChange, onRemove }: Props) {
  if (!isTest(item.criterion)) {
    return (
      <div className="relative mb-2 rounded-md border border-line px-2.5 py-2 text-sm">
        {inBrief(item.criterion)}: this criterion can’t be edited here and stays as it is.
        <RemoveButton onRemove={onRemove} />
      </div>
    );
  }
  const test = item.criterion as Test;
  const kind = kindOf(test);
  const set = (changed: Test) => onChange({ ...item, criterion: changed as Criterion });
  return (
    <div
      role="group"
      aria-label={`criterion: ${kind}`}
      className="relative mb-2 rounded-md border border-line px-2.5 py-2"
    >
      <div className="flex flex-wrap items-center gap-1.5 pr-4 text-sm text-ink2">
        <Choice
          label="part"
          value={kind}
          options={KINDS}
          onChoose={(chosen) => onChange({ ...item, typing: '', criterion: emptyTest(chosen) as Criterion })}
        />
        <How test={test} onChange={set} />
        <span className="grow" />
        {figures && (
          <span className="figures">
            {effect} {count(figures.effect)}
          </span>
        )}
        <RemoveButton onRemove={onRemove} />
      </div>
      <Values item={item} test={test} figures={figures} onChange={onChange} />
      {fault && (
        <p role="alert" className="mt-1.5 text-sm text-clay">
          {fault}
        </p>
      )}
    </div>
  );
}

function Values({
  item,
  test,
  figures,
  onChange,
}: {
  item: Item;
  test: Test;
  figures?: Schemas['CriterionFigures'];
  onChange: (item: Item) => void;
}) {
  const set = (changed: Test) => onChange({ ...item, typing: '', criterion: changed as Criterion });
  if (isNumber(test)) {
    return test.part === 'size' ? <NumberValue test={test} onChange={set} /> : null;
  }
  if (isTrait(test)) {
    return <TraitChips test={test} onChange={set} />;
  }
  const add = (more: string[], left: string) =>
    onChange({ ...item, typing: left, criterion: added(test, more) as Criterion });
  return (
    <>
      <ValueChips
        label={`add a value to ${kindOf(test)}`}
        values={test.values}
        figures={figures?.values}
        typing={item.typing}
        isWords={!isAddress(test)}
        {...(completes(test) ? { completes: completes(test) } : {})}
        hint={hint(test)}
        onTyping={(typing) => onChange({ ...item, typing })}
        fault={(value) => valueFault(test, value)}
        onAdd={add}
        onRemove={(gone) => set({ ...test, values: test.values.filter((_, i) => !gone.includes(i)) })}
      />
      {isAddress(test) && test.how !== 'contains' && (
        <FromAddressBook
          of={test.part === 'sender' ? 'SENDER' : 'RECIPIENT'}
          values={test.values}
          onAdd={(addresses) => add(addresses, item.typing)}
          onGroup={
            test.part === 'sender' && test.values.length === 0 && !test.not
              ? (name) => set({ part: 'group', how: 'is', values: [name] })
              : undefined
          }
        />
      )}
    </>
  );
}

/** Addresses and words of subjects are completed from past mail. */
function completes(test: ValuedTest): CompletionOf | undefined {
  if (isAddress(test)) {
    return test.part === 'sender' ? 'SENDER' : 'RECIPIENT';
  }
  return kindOf(test) === 'words' ? 'WORDS' : undefined;
}

function hint(test: ValuedTest): string {
  if (!isAddress(test)) {
    return test.how === 'is' || (test as { how: string }).how === 'contains'
      ? 'a phrase, or paste several …'
      : (test as { how: string }).how === 'pattern'
        ? 'a pattern, then Enter …'
        : 'a phrase …';
  }
  if (test.how === 'contains') {
    return 'a piece of an address …';
  }
  return test.how === 'is' ? 'an address …' : 'a domain or an address …';
}
