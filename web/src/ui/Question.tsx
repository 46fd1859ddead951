import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './Button';

interface Props {
  title: string;
  children: ReactNode;
  yes: string;
  open: boolean;
  onYes: () => void;
  onNo: () => void;
}

/** A yes that must be given on purpose. */
export function Question({ title, children, yes, open, onYes, onNo }: Props) {
  return (
    <AlertDialog.Root open={open} onOpenChange={(now) => !now && onNo()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-50 bg-veil" />
        <AlertDialog.Content className="fixed top-1/3 left-1/2 z-50 w-[420px] max-w-[94vw] -translate-x-1/2 -translate-y-1/3 rounded-lg border border-line2 bg-sheet p-5">
          <AlertDialog.Title className="text-lg font-bold">{title}</AlertDialog.Title>
          <AlertDialog.Description asChild>
            <div className="mt-1 text-ink2">{children}</div>
          </AlertDialog.Description>
          <div className="mt-4 flex justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <Button>Cancel</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button look="go" onClick={onYes}>
                {yes}
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
