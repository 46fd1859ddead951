import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './Button';

interface Props {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
  wide?: boolean;
}

/** A sheet from the right over the place one is in. */
export function Sheet({ title, open, onClose, children, wide = false }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-veil" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`fixed inset-y-0 right-0 z-40 flex w-full flex-col border-l border-line2 bg-sheet outline-none ${wide ? 'max-w-[820px]' : 'max-w-[640px]'}`}
        >
          <div className="flex items-start gap-3 border-b border-line px-4 py-3">
            <Dialog.Title className="grow text-lg font-bold break-words">{title}</Dialog.Title>
            <Dialog.Close asChild>
              <Button small look="quiet">
                Close
              </Button>
            </Dialog.Close>
          </div>
          <div role="group" aria-label={title} tabIndex={0} className="min-h-0 grow overflow-auto px-4 py-3">
            {children}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
