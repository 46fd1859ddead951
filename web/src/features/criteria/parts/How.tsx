import { useState } from 'react';
import { withMember } from '../../../lib/members';
import { Choice } from '../../../ui/Choice';
import {
  isAddress,
  isNumber,
  isTrait,
  WORDS_HOWS,
  WORDS_PARTS,
  type AddressCriterion,
  type Test,
  type WordsHow,
  type WordsTest,
} from '../model';

const ADDRESS_HOWS = [
  { value: 'at domain or below' as const, text: 'at domain, subdomains too' },
  { value: 'at domain' as const, text: 'at exactly this domain' },
  { value: 'is' as const, text: 'this address' },
  { value: 'contains' as const, text: 'an address that contains' },
];
const RECIPIENTS = [
  { value: 'recipient' as const, text: 'in To or Cc' },
  { value: 'to' as const, text: 'in To' },
  { value: 'cc' as const, text: 'in Cc' },
];
const PARTS: Record<(typeof WORDS_PARTS)[number], string> = {
  'subject or text': 'subject · text',
  subject: 'subject',
  text: 'text',
  'subject or what the sender added': 'subject · what the sender added',
  'what the sender added': 'what the sender added',
};
/** Subject or text, two things: all others are one. */
const TWO: Record<WordsHow, [yes: string, no: string]> = {
  contains: ['contain any of', 'contain none of'],
  'whole words': ['contain the whole words', 'do not contain the whole words'],
  is: ['are exactly', 'are not exactly'],
  begins: ['begin with', 'do not begin with'],
  ends: ['end with', 'do not end with'],
  wildcard: ['look like (* and ?)', 'do not look like (* and ?)'],
  pattern: ['match the pattern', 'do not match the pattern'],
};
const ONE: Record<WordsHow, [yes: string, no: string]> = {
  contains: ['contains any of', 'contains none of'],
  'whole words': ['contains the whole words', 'does not contain the whole words'],
  is: ['is exactly', 'is not exactly'],
  begins: ['begins with', 'does not begin with'],
  ends: ['ends with', 'does not end with'],
  wildcard: ['looks like (* and ?)', 'does not look like (* and ?)'],
  pattern: ['matches the pattern', 'does not match the pattern'],
};
const PLAIN_HOWS: WordsHow[] = ['contains', 'whole words'];

interface Props {
  test: Test;
  onChange: (test: Test) => void;
}

/** How a criterion compares, as words that can be changed. */
export function How({ test, onChange }: Props) {
  if (isNumber(test)) {
    return test.part === 'attachments' ? (
      <Yes test={test} yes="has any" no="has none" onChange={onChange} />
    ) : (
      <Choice
        label="over or under"
        value={test.how}
        options={[
          { value: 'over', text: 'over' },
          { value: 'under', text: 'under' },
        ]}
        onChoose={(how) => onChange({ ...test, how })}
      />
    );
  }
  if (isTrait(test)) {
    return <Yes test={test} yes="is any of" no="is none of" onChange={onChange} />;
  }
  return isAddress(test) ? (
    <AddressHow test={test} onChange={onChange} />
  ) : (
    <WordsHows test={test} onChange={onChange} />
  );
}

function AddressHow({ test, onChange }: { test: AddressCriterion; onChange: (test: Test) => void }) {
  return (
    <>
      {test.part !== 'sender' && (
        <Choice
          label="which recipients"
          value={test.part}
          options={RECIPIENTS}
          onChoose={(part) => onChange({ ...test, part })}
        />
      )}
      <Yes test={test} yes="is" no="is not" onChange={onChange} />
      <Choice
        label="how"
        value={test.how}
        options={ADDRESS_HOWS}
        onChoose={(how) => onChange({ ...test, how } as AddressCriterion)}
      />
    </>
  );
}

function WordsHows({ test, onChange }: { test: WordsTest; onChange: (test: Test) => void }) {
  const [more, setMore] = useState(false);
  const words = test.part.startsWith('subject or') ? TWO : ONE;
  const hows = more || !PLAIN_HOWS.includes(test.how) ? WORDS_HOWS : PLAIN_HOWS;
  const options = hows.flatMap((how) => [
    { value: how as string, text: words[how][0] },
    { value: `not ${how}`, text: words[how][1] },
  ]);
  return (
    <>
      {test.part === 'field' && (
        <input
          aria-label="name of the field"
          className="h-[24px] w-28 rounded border border-line2 bg-sheet px-1.5"
          value={test.field}
          onChange={(e) => onChange({ ...test, field: e.target.value.trim().toLowerCase() || 'x' })}
        />
      )}
      {test.part in PARTS && (
        <>
          in
          <Choice
            label="where"
            value={test.part as keyof typeof PARTS}
            options={WORDS_PARTS.map((value) => ({ value, text: PARTS[value] }))}
            onChoose={(part) => onChange({ ...test, part })}
          />
        </>
      )}
      <Choice
        label="how"
        value={test.not ? `not ${test.how}` : test.how}
        options={[
          ...options,
          ...(hows === PLAIN_HOWS ? [{ value: 'more', text: 'more exact …', keepsOpen: true }] : []),
        ]}
        onChoose={(chosen) => {
          if (chosen === 'more') {
            setMore(true);
            return;
          }
          const not = chosen.startsWith('not ');
          const how = (not ? chosen.slice(4) : chosen) as WordsHow;
          onChange(withNot({ ...test, how }, not));
        }}
      />
    </>
  );
}

function withNot<T extends Test>(test: T, not: boolean): T {
  return withMember(test, 'not', not || undefined);
}

function Yes({
  test,
  yes,
  no,
  onChange,
}: {
  test: Test;
  yes: string;
  no: string;
  onChange: (test: Test) => void;
}) {
  return (
    <Choice
      label="yes or no"
      value={test.not ? 'no' : 'yes'}
      options={[
        { value: 'yes', text: yes },
        { value: 'no', text: no },
      ]}
      onChoose={(chosen) => onChange(withNot(test, chosen === 'no'))}
    />
  );
}
