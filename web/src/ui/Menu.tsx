import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  trigger: ReactNode;
  items: { text: string; onSelect: () => void }[];
}

/** Acts to choose from, behind one button. */
export function Menu({ trigger, items }: Props) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          className="z-50 min-w-40 rounded-md border border-line2 bg-sheet py-1 shadow-lg"
        >
          {items.map((item) => (
            <DropdownMenu.Item
              key={item.text}
              onSelect={item.onSelect}
              className="cursor-pointer px-3 py-1 outline-none data-[highlighted]:bg-moss-soft"
            >
              {item.text}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
