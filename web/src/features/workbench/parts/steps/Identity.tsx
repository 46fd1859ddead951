import { Choice } from '../../../../ui/Choice';
import type { Around } from '../../around';

interface Props {
  from: string | undefined;
  around: Around;
  onChange: (from: string | undefined) => void;
}

/** As which of the mailbox's own addresses it is written. */
export function Identity({ from, around, onChange }: Props) {
  const all = [...new Set([around.ownAddress, ...around.ownAddresses, ...(from ? [from] : [])])];
  if (all.length < 2) {
    return null;
  }
  const isOurs = from === undefined || from === around.ownAddress || around.ownAddresses.includes(from);
  return (
    <span>
      sent from{' '}
      <Choice
        label="sent from"
        value={from ?? around.ownAddress}
        options={all.map((value) => ({ value, text: value }))}
        onChoose={(chosen) => onChange(chosen === around.ownAddress ? undefined : chosen)}
      />
      {!isOurs && <span className="block text-clay">Not an address of this mailbox: the reply is held.</span>}
    </span>
  );
}
