import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useRuleBook } from '../features/rules';
import { OUTSIDE, PLACES } from './places';

const GROUP =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-ink2';
const ITEM = 'cursor-pointer px-3 py-1.5 data-[selected=true]:bg-moss-soft';

/** Goes anywhere: Ctrl+K, a few letters, Enter. */
export function JumpBox({ demo }: { demo: boolean }) {
  const [open, setOpen] = useState(false);
  const book = useRuleBook();
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setOpen((now) => !now);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const go = (path: string) => {
    setOpen(false);
    void navigate(path);
  };
  const places = demo ? [...PLACES.flat(), OUTSIDE] : PLACES.flat();
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="hidden h-[26px] w-[200px] items-center justify-between rounded border border-line2 bg-ground px-2 text-sm text-ink2 min-[900px]:flex">
        Jump to …
        <kbd className="rounded-sm border border-line2 bg-sheet px-1 text-[11px] font-semibold">Ctrl K</kbd>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-veil" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-24 left-1/2 z-50 w-[520px] max-w-[94vw] -translate-x-1/2 overflow-hidden rounded-lg border border-line2 bg-sheet"
        >
          <Dialog.Title className="sr-only">Jump to a place or a rule</Dialog.Title>
          <Command label="Jump to">
            <Command.Input
              placeholder="a place, a rule, something to do …"
              className="w-full border-b border-line bg-sheet px-3 py-2.5 outline-none"
            />
            <Command.List className="max-h-80 overflow-auto pb-2">
              <Command.Empty className="px-3 py-3 text-ink2">Nothing of that name.</Command.Empty>
              <Command.Group heading="Places" className={GROUP}>
                {places.map((place) => (
                  <Command.Item key={place.path} className={ITEM} onSelect={() => go(place.path)}>
                    {place.name}
                  </Command.Item>
                ))}
              </Command.Group>
              <Command.Group heading="Rules" className={GROUP}>
                <Command.Item className={ITEM} onSelect={() => go('/rules/new')}>
                  Start a rule
                </Command.Item>
                {(book.data?.document.rules ?? []).map((rule) => (
                  <Command.Item
                    key={rule.id}
                    value={`${rule.name} ${rule.id}`}
                    className={ITEM}
                    onSelect={() => go(`/rules/${rule.id}`)}
                  >
                    {rule.name}
                  </Command.Item>
                ))}
              </Command.Group>
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
