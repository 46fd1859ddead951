import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { Glyph } from '../../../ui/glyphs';
import { ByRightClick, Menu } from '../../../ui/Menu';
import { useExamples } from '../examples';
import { happened } from '../model';
import { useBeginFrom } from '../queries';
import { Verdicts } from './Verdicts';
import { ShortDate } from '../../mailbox';

export const COLUMNS =
  'grid grid-cols-[minmax(0,1fr)_auto] gap-x-2 items-center pl-4 columns:grid-cols-[minmax(120px,190px)_60px_minmax(100px,170px)_minmax(0,1fr)] columns:gap-3';
export const SIDE = 'shrink-0 pl-1 columns:w-[220px] columns:pl-3';

/** A message of the table, with its menu. */
export function MessageRow({ line, onOpen }: { line: Schemas['IncomingLine']; onOpen: () => void }) {
  const { message, steps, today } = line;
  const what = happened(message.status, steps, today);
  const items = useActs(message, onOpen);
  return (
    <ByRightClick items={items}>
      <span className="flex h-full w-full">
        <button
          type="button"
          onClick={onOpen}
          className={`${COLUMNS} h-full min-w-0 grow text-left hover:bg-ground`}
        >
          <span className="order-4 flex min-w-0 items-center justify-end gap-1.5 text-[12.5px] text-ink2 columns:order-none columns:justify-start">
            {what.kinds.map((kind) => (
              <Glyph key={kind} of={kind} />
            ))}
            <span className="truncate max-columns:sr-only">{what.words}</span>
          </span>
          <span className="figures order-2 text-right text-sm text-ink2 columns:order-none columns:text-left">
            <ShortDate of={message.received} />
          </span>
          <span className="order-1 truncate max-columns:font-semibold columns:order-none">
            <bdi>{message.sender}</bdi>
          </span>
          <span className="order-3 truncate columns:order-none">
            <bdi>{message.subject || <i className="text-ink2">(no subject)</i>}</bdi>
            {message.notes.length > 0 && <span className="ml-2 text-sm text-clay">read only in part</span>}
          </span>
        </button>
        <span className={`${SIDE} flex items-center gap-1`}>
          <span className="max-columns:hidden">
            <Verdicts id={message.id} subject={message.subject} />
          </span>
          <Menu
            trigger={
              <button
                type="button"
                aria-label={`More for “${message.subject}”`}
                className="rounded px-1.5 leading-none text-ink2 hover:bg-ground"
              >
                …
              </button>
            }
            items={items}
          />
        </span>
      </span>
    </ByRightClick>
  );
}

/** What can be done with a message, behind its button and by right-click. */
function useActs(message: Schemas['IncomingLine']['message'], onOpen: () => void) {
  const { examples, turn } = useExamples();
  const begin = useBeginFrom();
  const navigate = useNavigate();
  const start = () =>
    begin.mutate(message.id, {
      onSuccess: (rule) => void navigate(`/rules/${rule}`),
      // The opened message says why nothing can be started from it.
      onError: onOpen,
    });
  const is = examples.wanted.includes(message.id);
  const isNot = examples.unwanted.includes(message.id);
  return [
    { text: 'Start a rule from it', onSelect: start },
    { text: is ? 'No longer an example' : 'Mark as an example', onSelect: () => turn(message.id, 'example') },
    {
      text: isNot ? 'No longer a counter-example' : 'Mark as a counter-example',
      onSelect: () => turn(message.id, 'counter-example'),
    },
    { text: 'Open it', onSelect: onOpen },
  ];
}
