import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { count } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Menu } from '../../../ui/Menu';
import { useDone } from '../../mailbox';
import type { RuleBook } from '../../rules';
import { useKept, useOpenKept, useRemoveKept } from '../queries';

/** Rehearsals that were kept: opened to be compared again, or removed. */
export function Kept({ onOpen }: { onOpen: (line: Schemas['KeptLine'], rules: RuleBook) => void }) {
  const kept = useKept();
  const open = useOpenKept();
  const remove = useRemoveKept();
  const { tell } = useDone();
  const lines = kept.data ?? [];
  if (lines.length === 0) {
    return null;
  }
  const failed = (problem: unknown) => tell({ text: problemText(problem) });
  return (
    <Menu
      trigger={<Button small>Kept: {count(lines.length)} …</Button>}
      groups={lines.map((line) => ({
        name: `${line.name} · ${dayAndTime(line.madeAt)}, ${line.madeBy} · ${count(line.changing)} of ${count(line.messages)} changed hands`,
        items: [
          {
            text: 'Open, to rehearse it again',
            onSelect: () =>
              open.mutate(line.id, {
                onSuccess: (found) => onOpen(found.line, found.document),
                onError: failed,
              }),
          },
          {
            text: 'Remove',
            onSelect: () =>
              remove.mutate(line.id, {
                onSuccess: () => tell({ text: `The rehearsal “${line.name}” is removed.` }),
                onError: failed,
              }),
          },
        ],
      }))}
    />
  );
}
