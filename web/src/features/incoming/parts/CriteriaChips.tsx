import { Popover } from 'radix-ui';
import { useState } from 'react';
import { Button } from '../../../ui/Button';
import { CriterionCard, emptyTest, inBrief, item, meant, type Criterion, type Item } from '../../criteria';

/** Criteria as chips beside the words that are looked for; one click changes one. */
export function CriteriaChips({ items, onChange }: { items: Item[]; onChange: (items: Item[]) => void }) {
  const [open, setOpen] = useState<string>();
  const close = () => {
    setOpen(undefined);
    onChange(items.filter((one) => meant(one) !== undefined));
  };
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      {items.map((one) => (
        <Popover.Root
          key={one.key}
          open={open === one.key}
          onOpenChange={(now) => (now ? setOpen(one.key) : close())}
        >
          <span className="inline-flex h-[26px] max-w-72 items-center rounded bg-moss-soft">
            <Popover.Trigger className="truncate pl-2">
              {inBrief(meant(one) ?? one.criterion) || 'a criterion …'}
            </Popover.Trigger>
            <button
              type="button"
              aria-label={`Remove ${inBrief(one.criterion)}`}
              className="px-1.5 text-ink2 hover:text-ink"
              onClick={() => onChange(items.filter((other) => other.key !== one.key))}
            >
              ×
            </button>
          </span>
          <Popover.Portal>
            <Popover.Content
              align="start"
              sideOffset={6}
              className="z-50 w-[420px] max-w-[94vw] rounded-md border border-line2 bg-sheet p-2.5 shadow-lg"
            >
              <CriterionCard
                item={one}
                effect=""
                onChange={(changed) =>
                  onChange(items.map((other) => (other.key === one.key ? changed : other)))
                }
                onRemove={() => {
                  setOpen(undefined);
                  onChange(items.filter((other) => other.key !== one.key));
                }}
              />
              <Button small onClick={close}>
                Done
              </Button>
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      ))}
      <Button
        small
        look="quiet"
        onClick={() => {
          const fresh = item(emptyTest('sender') as Criterion);
          onChange([...items, fresh]);
          setOpen(fresh.key);
        }}
      >
        + a criterion
      </Button>
    </span>
  );
}
