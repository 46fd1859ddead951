import { ContextMenu, DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

interface Item {
  text: string;
  onSelect: () => void;
}

const CONTENT = 'z-50 min-w-40 rounded-md border border-line2 bg-sheet py-1 shadow-lg';
const ITEM = 'cursor-pointer px-3 py-1 outline-none data-[highlighted]:bg-moss-soft';

/** Acts to choose from, behind one button. */
export function Menu({ trigger, items }: { trigger: ReactNode; items: Item[] }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" sideOffset={4} className={CONTENT}>
          {items.map((item) => (
            <DropdownMenu.Item key={item.text} onSelect={item.onSelect} className={ITEM}>
              {item.text}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** The same acts by right-click, or by the menu key, on what they are about. */
export function ByRightClick({ items, children }: { items: Item[]; children: ReactNode }) {
  return (
    <ContextMenu.Root modal={false}>
      <ContextMenu.Trigger asChild>{children}</ContextMenu.Trigger>
      <ContextMenu.Portal>
        <ContextMenu.Content className={CONTENT}>
          {items.map((item) => (
            <ContextMenu.Item key={item.text} onSelect={item.onSelect} className={ITEM}>
              {item.text}
            </ContextMenu.Item>
          ))}
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}
