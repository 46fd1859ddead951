import { useState } from 'react';
import { withMember } from '../../../../lib/members';
import { Button } from '../../../../ui/Button';
import { Choice } from '../../../../ui/Choice';
import { Menu } from '../../../../ui/Menu';
import { useAddressBook } from '../../../addressbook';
import { OutsideNotes } from '../../../destinations';
import { addressFault, ValueChips, withValues } from '../../../criteria';
import type { Step } from '../../model';
import { presetWith } from '../../release';
import { AsReceived } from './AsReceived';
import { ForwardFields } from './ForwardFields';
import { NewColleague, NewGroup } from './OnTheSpot';
import type { Around } from '../../around';
import { WhatTheySee } from './WhatTheySee';
import { WhenItGoesOut } from './WhenItGoesOut';
import { WillItArrive } from './WillItArrive';

type HandOnOf = Extract<Step, { to: string[] }>;

interface Props {
  step: HandOnOf;
  around: Around;
  onChange: (step: Step) => void;
}

type Making = 'colleague' | 'group';

/** Who a message is handed on to, and what they will see of it. */
export function HandOnStep({ step, around, onChange }: Props) {
  const [typing, setTyping] = useState('');
  const [making, setMaking] = useState<Making>();
  const [seeing, setSeeing] = useState(false);
  const book = useAddressBook();
  const groups = step.groups ?? [];
  const others = (book.data?.groups ?? [])
    .map((g) => g.written.name)
    .filter((name) => !groups.includes(name));
  const people = (book.data?.people ?? []).flatMap((person) => {
    const address = person.written.addresses[0] ?? '';
    return step.to.includes(address) ? [] : [{ address, text: person.written.name || address }];
  });
  const members = (book.data?.groups ?? [])
    .filter((group) => groups.includes(group.written.name))
    .flatMap((group) => group.written.members);
  const setGroups = (now: string[]) => onChange(withMember(step, 'groups', now.length > 0 ? now : undefined));
  const add = (addresses: string[]) =>
    onChange(presetWith(step, withValues(step.to, addresses), around.ownDomains));
  return (
    <>
      <ValueChips
        label={`add an address to ${step.do} to`}
        values={step.to}
        typing={typing}
        isWords={false}
        hint="a colleague’s address …"
        onTyping={setTyping}
        fault={addressFault}
        onAdd={(more, left) => {
          setTyping(left);
          add(more);
        }}
        onRemove={(gone) => onChange({ ...step, to: step.to.filter((_, i) => !gone.includes(i)) })}
      />
      <div className="mt-1.5 flex flex-wrap items-center gap-1.5">
        {groups.map((group) => (
          <span
            key={group}
            className="inline-flex h-[26px] items-center gap-1 rounded bg-moss-soft pr-0.5 pl-1.5"
          >
            the group {group}
            <button
              type="button"
              aria-label={`Remove the group ${group}`}
              className="rounded px-0.5 text-ink2 hover:text-ink"
              onClick={() => setGroups(groups.filter((other) => other !== group))}
            >
              ×
            </button>
          </span>
        ))}
        <Menu
          trigger={
            <Button small look="quiet">
              from the address book …
            </Button>
          }
          items={[
            ...others.map((name) => ({
              text: `the group ${name}`,
              onSelect: () => setGroups([...groups, name]),
            })),
            ...people.map(({ address, text }) => ({ text, onSelect: () => add([address]) })),
            { text: 'a new colleague …', onSelect: () => setMaking('colleague') },
            { text: 'a new group …', onSelect: () => setMaking('group') },
          ]}
        />
      </div>
      <OutsideNotes addresses={[...step.to, ...members]} ownDomains={around.ownDomains} />
      {step.do === 'forward' && <ForwardFields step={step} around={around} onChange={onChange} />}
      <WhatTheySee step={step} ownAddress={around.ownAddress} />
      <div className="mt-1.5">
        <WhenItGoesOut step={step} onChange={onChange} />
      </div>
      <div className="mt-1.5 flex flex-wrap items-center gap-x-1.5">
        <span className="text-sm text-ink2">
          then the message{' '}
          {around.moves ? (
            'is moved by another action of this rule'
          ) : (
            <Choice
              label="the message afterwards"
              value={step.leaves ? 'leaves' : 'stays'}
              options={[
                { value: 'stays', text: 'stays in the inbox' },
                { value: 'leaves', text: 'moves to the trash after it is sent on' },
              ]}
              onChoose={(chosen) => onChange(withMember(step, 'leaves', chosen === 'leaves' || undefined))}
            />
          )}
        </span>
        <Button small look="quiet" onClick={() => setSeeing(true)}>
          See what recipients see …
        </Button>
      </div>
      {step.do === 'redirect' && <WillItArrive />}
      <AsReceived
        step={step}
        messages={around.picked}
        sample={around.sample}
        open={seeing}
        onClose={() => setSeeing(false)}
        onForwardInstead={() => {
          onChange({ do: 'forward', to: step.to, ...(groups.length > 0 ? { groups } : {}) });
          setSeeing(false);
        }}
      />
      <NewColleague
        open={making === 'colleague'}
        onClose={() => setMaking(undefined)}
        onMade={(address) => {
          setMaking(undefined);
          add([address]);
        }}
      />
      <NewGroup
        open={making === 'group'}
        onClose={() => setMaking(undefined)}
        onMade={(name) => {
          setMaking(undefined);
          setGroups([...groups, name]);
        }}
      />
    </>
  );
}
