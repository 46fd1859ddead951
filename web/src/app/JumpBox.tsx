import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { problemText } from '../api/problem';
import { setEvidenceDays, useDone, useNow, WINDOWS } from '../features/mailbox';
import { switched, useRuleBook, useSaveRuleBook, withRules, type Rule } from '../features/rules';
import { useSignOut } from '../features/session';
import { shortDate } from '../lib/dates';
import { counted } from '../lib/numbers';
import { keepGivenFocus } from '../ui/focus';
import { useFound } from './found';
import { OUTSIDE, PLACES } from './places';

const ITEM =
  'flex cursor-pointer items-baseline gap-2 px-3 py-1.5 data-[selected=true]:bg-moss-soft [&>span:first-child]:truncate';

interface Props {
  demo: boolean;
  /** Asks whether all outgoing mail is to stop; absent while it is stopped. */
  onStop: (() => void) | undefined;
}

/** Goes anywhere and does what is named: Ctrl+K, a few letters, Enter. */
export function JumpBox({ demo, onStop }: Props) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent) => {
      const inEditor = event.target instanceof HTMLElement && event.target.isContentEditable;
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k' && !inEditor) {
        event.preventDefault();
        setOpen((now) => !now);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="hidden h-[26px] w-[200px] min-w-[110px] items-center justify-between gap-2 whitespace-nowrap rounded border border-line2 bg-ground px-2 text-sm text-ink2 min-[900px]:flex">
        Jump to …
        <kbd className="rounded-sm border border-line2 bg-sheet px-1 text-[11px] font-semibold">Ctrl K</kbd>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-veil" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={keepGivenFocus}
          className="fixed top-24 left-1/2 z-50 w-[560px] max-w-[94vw] -translate-x-1/2 overflow-hidden rounded-lg border border-line2 bg-sheet"
        >
          <Dialog.Title className="sr-only">Jump to a place, a rule, a person or a message</Dialog.Title>
          <Jumps demo={demo} onStop={onStop} onDone={() => setOpen(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Jumps({ demo, onStop, onDone }: Props & { onDone: () => void }) {
  const [typed, setTyped] = useState('');
  const found = useFound(typed);
  const book = useRuleBook();
  const looking = found.looking || book.isPending;
  const enter = useEnterAhead(typed, looking);
  const navigate = useNavigate();
  const go = (path: string) => {
    onDone();
    void navigate(path);
  };
  const now = useNow();
  const rules = book.data?.document.rules ?? [];
  const places = demo ? [...PLACES.flat(), OUTSIDE] : PLACES.flat();
  return (
    <Command label="Jump to" filter={hasAllWords} {...enter}>
      <Command.Input
        value={typed}
        onValueChange={setTyped}
        placeholder="a place, a rule, a person, a message, something to do …"
        className="w-full border-b border-line bg-sheet px-3 py-2.5 outline-none"
      />
      <Command.List className="max-h-96 overflow-auto pb-2">
        <Command.Empty className="px-3 py-3 text-ink2">
          {looking ? 'looking …' : 'Nothing found.'}
        </Command.Empty>
        <Named heading="Places">
          {places.map((place) => (
            <Jump key={place.path} onSelect={() => go(place.path)}>
              {place.name}
            </Jump>
          ))}
        </Named>
        <Named heading="Rules">
          {rules.map((rule) => (
            <Jump key={rule.id} value={`${rule.name} ${rule.id}`} onSelect={() => go(`/rules/${rule.id}`)}>
              {rule.name}
            </Jump>
          ))}
        </Named>
        <Acts rules={rules} onStop={onStop} onGo={go} onDone={onDone} />
        {typed.trim().length > 1 && (
          <>
            <Named heading="People">
              {found.people?.map((one) => (
                <Jump
                  key={one.value}
                  value={`${typed} from ${one.value}`}
                  aside={counted(one.messages, 'message')}
                  onSelect={() => go(`/incoming?view=messages&sender=${encodeURIComponent(one.value)}`)}
                >
                  {one.value}
                </Jump>
              ))}
            </Named>
            <Named heading="Messages">
              {found.messages?.map((message) => (
                <Jump
                  key={message.id}
                  value={`${typed} message ${message.id}`}
                  aside={`${message.sender} · ${shortDate(message.received, now)}`}
                  onSelect={() => go(`/incoming/${message.id}?view=messages`)}
                >
                  <bdi>{message.subject || '(no subject)'}</bdi>
                </Jump>
              ))}
            </Named>
          </>
        )}
      </Command.List>
    </Command>
  );
}

/** Enter pressed while there is more to come goes to what stands first when all is there, unless more is typed meanwhile. */
function useEnterAhead(typed: string, looking: boolean) {
  const [selected, setSelected] = useState('');
  const [entered, setEntered] = useState<string>();
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (entered !== typed || looking) {
      return;
    }
    // What has just arrived is in the list once it has been compared with what is typed.
    const go = setTimeout(() => list.current?.querySelector<HTMLElement>('[role=option]')?.click());
    return () => clearTimeout(go);
  }, [entered, typed, looking, selected]);
  return {
    ref: list,
    value: selected,
    onValueChange: setSelected,
    onKeyDown: (event: KeyboardEvent<HTMLDivElement>) => {
      if (event.key === 'Enter' && looking && selected === '') {
        setEntered(typed);
      }
    },
  };
}

/** What is typed is looked for word by word, as it stands. */
function hasAllWords(value: string, typed: string): number {
  const text = value.toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word))
    ? 1
    : 0;
}

interface ActsProps {
  rules: Rule[];
  onStop: (() => void) | undefined;
  onGo: (path: string) => void;
  onDone: () => void;
}

function Acts({ rules, onStop, onGo, onDone }: ActsProps) {
  const book = useRuleBook();
  const saving = useSaveRuleBook();
  const signOut = useSignOut();
  const { tell } = useDone();
  const turn = (rule: Rule) => {
    if (book.data) {
      const changed = switched(rules, rule.id, !rule.on);
      // The box is gone before the reply is there, so the reply can't be left to it.
      saving
        .mutateAsync({ baseVersion: book.data.version, document: withRules(book.data.document, changed) })
        .then(() => tell({ text: `“${rule.name}” is ${rule.on ? 'paused' : 'on. New mail only'}.` }))
        .catch((failed: unknown) => tell({ text: problemText(failed) }));
    }
    onDone();
  };
  return (
    <Named heading="Do">
      <Jump onSelect={() => onGo('/rules/new')}>Start a rule</Jump>
      <Jump onSelect={() => onGo('/timetable?away=new')}>Plan to be away</Jump>
      <Jump onSelect={() => onGo('/rules?view=where-mail-goes')}>See where mail goes</Jump>
      <Jump onSelect={() => onGo('/records?view=waiting')}>Look at what waits to leave</Jump>
      {WINDOWS.map((days) => (
        <Jump
          key={days}
          onSelect={() => {
            setEvidenceDays(days);
            onDone();
          }}
        >
          Show evidence from the last {days} days
        </Jump>
      ))}
      {rules.map((rule) => (
        <Jump
          key={rule.id}
          value={`turn ${rule.on ? 'pause' : 'switch on'} ${rule.name} ${rule.id}`}
          onSelect={() => turn(rule)}
        >
          {rule.on ? 'Pause' : 'Switch on'} “{rule.name}”
        </Jump>
      ))}
      {onStop && (
        <Jump
          onSelect={() => {
            onDone();
            onStop();
          }}
        >
          Stop all outgoing mail …
        </Jump>
      )}
      <Jump onSelect={() => signOut.mutate()}>Sign out</Jump>
    </Named>
  );
}

function Named({ heading, children }: { heading: string; children: ReactNode }) {
  return (
    <Command.Group
      heading={heading}
      className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-ink2"
    >
      {children}
    </Command.Group>
  );
}

interface JumpProps {
  value?: string;
  aside?: string;
  onSelect: () => void;
  children: ReactNode;
}

function Jump({ value, aside, onSelect, children }: JumpProps) {
  return (
    <Command.Item {...(value === undefined ? {} : { value })} className={ITEM} onSelect={onSelect}>
      <span>{children}</span>
      {aside && <span className="ml-auto shrink-0 text-sm text-ink2">{aside}</span>}
    </Command.Item>
  );
}
