import { Sheet } from '../../../ui/Sheet';
import { SendTests } from './SendTests';
import { SentTests } from './SentTests';

interface Props {
  open: boolean;
  /** The trial that is chosen to begin with. */
  begun: string | undefined;
  onClose: () => void;
}

/** Trials sent as real messages, and what came of those that were. */
export function RealTests({ open, begun, onClose }: Props) {
  return (
    <Sheet wide title="Send a real test" open={open} onClose={onClose}>
      {open && (
        <div className="grid gap-5">
          <SendTests begun={begun} />
          <SentTests />
        </div>
      )}
    </Sheet>
  );
}
