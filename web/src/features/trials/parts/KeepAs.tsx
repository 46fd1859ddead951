import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Menu } from '../../../ui/Menu';
import { useDone } from '../../mailbox';
import { useKeepTrial, useRemoveTrial } from '../queries';

interface Props {
  /** For whom can't see which message it stands beside. */
  name: string;
  /** The rule and the message, without what must be. */
  of: Omit<Schemas['TrialKeeping'], 'picked'>;
}

/** Keeps a message as a trial of a rule: it must be picked, or it must not. */
export function KeepAs({ name, of }: Props) {
  const keep = useKeepTrial();
  const remove = useRemoveTrial();
  const { tell } = useDone();
  const kept = (picked: boolean) =>
    keep.mutate(
      { ...of, picked },
      {
        onSuccess: ({ id }) =>
          tell({
            text: `Kept as a trial: the rule must ${picked ? '' : 'not '}pick it.`,
            takeBack: () => remove.mutate(id, { onSuccess: () => tell({ text: 'The trial is removed.' }) }),
          }),
        onError: (failed) => tell({ text: problemText(failed) }),
      },
    );
  return (
    <Menu
      trigger={
        <button
          type="button"
          aria-label={`Keep “${name}” as a trial`}
          className="rounded px-1 text-[12.5px] text-moss hover:underline"
        >
          trial …
        </button>
      }
      items={[
        { text: 'The rule must pick it', onSelect: () => kept(true) },
        { text: 'The rule must not pick it', onSelect: () => kept(false) },
      ]}
    />
  );
}
