import type { Schemas } from '../../../../api/client';
import { Button } from '../../../../ui/Button';
import { useExplained } from '../../../incoming';
import type { Asked } from '../../model';

interface Props {
  view: Schemas['MessageDetails'];
  asked: Asked;
  order: number;
  onTrust: (form: string) => void;
}

/** A message that a machine sent may come from a web form, which somebody filled in and waits for a reply. */
export function TrustForm({ view, asked, order, onTrust }: Props) {
  const explained = useExplained(view.line.id, { rule: asked.rule, order });
  const form = view.from[0]?.address;
  const isKeptBack = explained.data?.notDone.some(({ ofAMachine }) => ofAMachine);
  if (!isKeptBack || form === undefined) {
    return null;
  }
  return (
    <div className="flex flex-wrap items-center gap-2 rounded border border-dashed border-line2 px-3 py-2 text-sm">
      <span className="grow">
        Does <b>{form}</b> send what people write in a web form? Then they can get the reply: it goes to the
        address in the text, or in Reply-To.
      </span>
      <Button small onClick={() => onTrust(form)}>
        Reply to mail of this form
      </Button>
    </div>
  );
}
