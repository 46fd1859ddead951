import { ContextMenu, DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { keepGivenFocus } from './focus';

interface Item {
  text: string;
  picture?: ReactNode;
  onSelect: () => void;
}

interface Group {
  name: string;
  items: Item[];
}

const CONTENT =
  'z-50 max-h-[var(--radix-popper-available-height)] min-w-40 overflow-auto rounded-md border border-line2 bg-sheet py-1 shadow-lg';
const ITEM = 'flex cursor-pointer items-center gap-2 px-3 py-1 outline-none data-[highlighted]:bg-moss-soft';

interface Props {
  trigger: ReactNode;
  /** Acts without a group of their own. */
  items?: Item[];
  /** Acts by what they are for. */
  groups?: Group[];
}

/** Acts to choose from, behind one button. */
export function Menu({ trigger, items = [], groups = [] }: Props) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          className={CONTENT}
          onCloseAutoFocus={keepGivenFocus}
        >
          {items.map((item) => (
            <DropdownMenu.Item key={item.text} onSelect={item.onSelect} className={ITEM}>
              {item.picture} {item.text}
            </DropdownMenu.Item>
          ))}
          {groups.map((group) => (
            <DropdownMenu.Group key={group.name}>
              <DropdownMenu.Label className="px-3 text-[12.5px] text-ink2">{group.name}</DropdownMenu.Label>
              {group.items.map((item) => (
                <DropdownMenu.Item key={item.text} onSelect={item.onSelect} className={`${ITEM} !py-0.5`}>
                  {item.picture} {item.text}
                </DropdownMenu.Item>
              ))}
            </DropdownMenu.Group>
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
              {item.picture} {item.text}
            </ContextMenu.Item>
          ))}
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}
