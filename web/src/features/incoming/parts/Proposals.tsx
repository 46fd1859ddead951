import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { count, counted } from '../../../lib/numbers';
import { shortDate } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useBeginRule } from '../../drafts';
import { useProposals } from '../queries';

interface Props {
  wanted: number[];
  unwanted: number[];
  open: boolean;
  onClose: () => void;
}

/** What tells the wanted messages apart, in two or three ways; one of them becomes a rule. */
export function Proposals({ wanted, unwanted, open, onClose }: Props) {
  const proposals = useProposals(wanted, unwanted, open);
  const begin = useBeginRule();
  const navigate = useNavigate();
  const take = (proposal: Schemas['ProposalView']) =>
    void begin(proposal.picksOut, wanted[wanted.length - 1]).then((id) => navigate(`/rules/${id}`));
  return (
    <Sheet title="What tells them apart" open={open} onClose={onClose}>
      {proposals.isPending && <Loading what="Comparing messages" />}
      {proposals.isError && (
        <Trouble text={problemText(proposals.error)} onRetry={() => void proposals.refetch()} />
      )}
      {proposals.data?.proposals.length === 0 && (
        <Empty>
          Nothing was found that these messages share. Say of a few more that they belong, or start from one
          of them.
        </Empty>
      )}
      <ol className="grid gap-3">
        {proposals.data?.proposals.map((proposal, i) => (
          <li key={i} className="rounded-md border border-line px-3 py-2.5">
            <p className="first-letter:uppercase">{proposal.sentence}</p>
            <p className="mt-1 text-sm text-ink2">
              takes {proposal.takes} of the {proposals.data.wanted}
              {proposals.data.unwanted > 0 &&
                `, and ${proposal.wrong.length === 0 ? 'none' : proposal.wrong.length} of the ${proposals.data.unwanted} that don’t belong`}
              ; in the window it takes {counted(proposal.elsewhere, 'message')} more
            </p>
            <Lines head="misses" lines={proposal.missed} all={proposals.data.wanted - proposal.takes} />
            <Lines head="takes wrongly" lines={proposal.wrong} all={proposal.wrong.length} />
            <Lines head="also takes" lines={proposal.examples} all={proposal.elsewhere} />
            <Button small look={i === 0 ? 'go' : 'plain'} className="mt-2" onClick={() => take(proposal)}>
              Go on with this
            </Button>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

function Lines({ head, lines, all }: { head: string; lines: Schemas['Line'][]; all: number }) {
  if (lines.length === 0) {
    return null;
  }
  return (
    <ul className="mt-1.5 text-sm">
      {lines.map((line, i) => (
        <li key={line.id} className="grid grid-cols-[92px_52px_minmax(0,1fr)] gap-2">
          <span className="text-ink2">{i === 0 ? head : ''}</span>
          <span className="figures text-ink2">{shortDate(line.received)}</span>
          <span className="truncate">
            {line.subject || '(no subject)'} <span className="text-ink2">· {line.sender}</span>
          </span>
        </li>
      ))}
      {all > lines.length && (
        <li className="grid grid-cols-[92px_1fr] gap-2 text-ink2">
          <span />
          and {count(all - lines.length)} more
        </li>
      )}
    </ul>
  );
}
