import { useState } from 'react';
import type { Schemas } from '../../../api/client';
import { count, counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { NotSaved, useSaving, type RuleBook } from '../../rules';
import { moves, picture, secondsInWords, type Result as Came } from '../model';
import type { Asked } from '../queries';
import { FlowPicture } from './FlowPicture';
import { KeepAsNamed } from './KeepAsNamed';
import { Messages } from './Messages';
import { Again, Near, OfRules, Overlaps, Volumes } from './Numbers';

interface Props {
  standing: Schemas['RehearsalStanding'];
  result: Came;
  document: RuleBook;
  now: RuleBook;
  version: number;
  words: string;
}

type Tab = 'changing' | 'rules' | 'overlaps' | 'near' | 'again' | 'volumes';

/** What is asked for, and what that is called. */
export type Ask = (asked: Asked, title: string) => void;

/** What a rehearsal came to. */
export function Result({ standing, result, document, now, version, words }: Props) {
  const [tab, setTab] = useState<Tab>('changing');
  const [asked, setAsked] = useState<{ asked: Asked; title: string }>();
  const saving = useSaving({ version, document: now });
  const ask: Ask = (next, title) => setAsked({ asked: next, title });
  const show = (next: Tab) => {
    setTab(next);
    setAsked(undefined);
  };
  const tabs: [Tab, string][] = [
    ['changing', `change hands ${count(result.changing)}`],
    ['rules', 'per rule'],
    ['overlaps', `overlaps of rules ${count(result.overlaps.length)}`],
    ['near', `near misses ${count(result.nearMisses.reduce((sum, one) => sum + one.messages, 0))}`],
    ['again', `more than one reply ${count(result.moreThanOnce)}`],
    ['volumes', 'volume per destination'],
  ];
  return (
    <>
      <NotSaved saving={saving} />
      <section aria-label="What moves" className="mb-2.5 rounded-md border border-line bg-sheet px-3 py-2.5">
        <div className="mb-2 flex flex-wrap items-center gap-2.5">
          <p role="status" className="grow font-semibold text-moss">
            {counted(result.changing, 'message changes hands', 'messages change hands')};{' '}
            {count(result.messages - result.changing)} stay as they are.{' '}
            <span className="font-normal text-ink2">
              {counted(result.messages, 'message')} {secondsInWords(standing.millis)}
            </span>
          </p>
          <KeepAsNamed standing={standing} result={result} document={document} words={words} />
          <Button
            look="go"
            disabled={JSON.stringify(document) === JSON.stringify(now)}
            onClick={() => saving.saveBook(document, 'The rehearsed rules are saved.')}
          >
            Use these rules
          </Button>
        </div>
        <FlowPicture of={picture(result)} />
      </section>
      <section aria-label="In numbers" className="rounded-md border border-line bg-sheet">
        <div role="group" aria-label="Which numbers" className="flex flex-wrap gap-1 px-3 py-2">
          {tabs.map(([key, text]) => (
            <button
              key={key}
              type="button"
              aria-pressed={tab === key}
              onClick={() => show(key)}
              className={`rounded px-2 py-0.5 text-[13.5px] font-semibold ${tab === key ? 'bg-moss text-on-moss' : 'text-ink2 hover:bg-ground'}`}
            >
              {text}
            </button>
          ))}
        </div>
        {tab === 'changing' && <Moves result={result} onAsk={ask} />}
        {tab === 'rules' && <OfRules of={result} onAsk={ask} />}
        {tab === 'overlaps' && <Overlaps of={result} onAsk={ask} />}
        {tab === 'near' && <Near of={result} onAsk={ask} />}
        {tab === 'again' && <Again of={result} onAsk={ask} />}
        {tab === 'volumes' && <Volumes of={result} onAsk={ask} />}
        {asked ? (
          <Messages
            key={JSON.stringify(asked.asked)}
            rehearsal={standing.id}
            asked={asked.asked}
            title={asked.title}
          />
        ) : (
          tab === 'changing' &&
          result.changing > 0 && (
            <Messages rehearsal={standing.id} asked={{ of: 'CHANGING' }} title="All that change hands" />
          )
        )}
      </section>
    </>
  );
}

const MOST = 12;

function Moves({ result, onAsk }: { result: Came; onAsk: Ask }) {
  const all = moves(result);
  if (all.length === 0) {
    return <p className="px-3 pb-3 text-ink2">Every message stays as it is.</p>;
  }
  return (
    <ul className="grid px-3 pb-2">
      {all.slice(0, MOST).map((one) => (
        <li key={one.key}>
          <button
            type="button"
            className="text-left text-[13.5px] hover:underline"
            onClick={() => onAsk({ of: 'FLOW', one: one.from, other: one.to }, one.words)}
          >
            <b className="text-clay">{count(one.messages)}</b> {one.words}
          </button>
        </li>
      ))}
      {all.length > MOST && (
        <li className="text-sm text-ink2">and {counted(all.length - MOST, 'more way')} in which few move</li>
      )}
    </ul>
  );
}
