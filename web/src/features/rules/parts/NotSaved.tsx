import { problemText } from '../../../api/problem';
import { Trouble } from '../../../ui/States';
import { LoopRefused, loopOf } from '../../loops';
import { TrialsRefused, trialsAgainst } from '../../trials';
import type { Saving } from '../acts';

/** Rules that were not saved: why, and the ways on. They begin from the version that was refused. */
export function NotSaved({ saving }: { saving: Saving }) {
  const { error, refused, saveBook } = saving;
  if (!error) {
    return null;
  }
  if (refused && trialsAgainst(error).length > 0) {
    return (
      <TrialsRefused
        problem={error}
        onAnyway={() =>
          saveBook(refused.document, 'The rules are saved, though trials differ.', {
            base: refused.baseVersion,
            despiteTrials: true,
          })
        }
      />
    );
  }
  if (refused && loopOf(error)) {
    return (
      <LoopRefused
        problem={error}
        document={refused.document}
        onRemedy={(mended) =>
          saveBook(mended, 'The rules are saved, with that mail left out.', { base: refused.baseVersion })
        }
      />
    );
  }
  return <Trouble text={problemText(error)} />;
}
