import type { Schemas } from '../../api/client';
import { counted } from '../../lib/numbers';

type Kind = Schemas['UndoKind']['kind'];

/** What undoing one of a kind does, for one and for several. */
const WORDS: Partial<Record<Kind, [string, string]>> = {
  FILE: ['message goes back to the folder where it was', 'messages go back to the folders where they were'],
  ARCHIVE: [
    'archived message goes back to the folder where it was',
    'archived messages go back to the folders where they were',
  ],
  TRASH: ['message comes out of the trash', 'messages come out of the trash'],
  COPY: ['copy is removed', 'copies are removed'],
  MARK: ['message has its marks as before', 'messages have their marks as before'],
  OUT_OF_JUNK: ['message goes back to junk', 'messages go back to junk'],
};

/** "3 messages go back to the folders where they were" */
export function undoneInWords({ kind, steps }: Schemas['UndoKind']): string {
  const [one, many] = WORDS[kind] ?? ['step is undone', 'steps are undone'];
  return counted(steps, one, many);
}

export function all(preview: Schemas['UndoPreview']): number {
  return preview.can.reduce((sum, one) => sum + one.steps, 0);
}

/** "it was sent …: 2 steps (“Our visit”, “Tickets”)" */
export function refusedInWords({ why, steps, subjects }: Schemas['UndoRefused']): string {
  const named = subjects.map((subject) => `“${subject || '(no subject)'}”`).join(', ');
  const more = steps > subjects.length ? ', …' : '';
  return `${counted(steps, 'step')}: ${why.words} (${named}${more})`;
}
