import { Accordion } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  value: string;
  title: string;
  /** Figures, beside the title. */
  aside: string;
  /** One line that stands for the part while it is closed. */
  closed: ReactNode;
  /** What is always seen below the title. */
  below?: ReactNode;
  children: ReactNode;
}

/** One of the three parts of a rule; only the current one is open. */
export function Part({ value, title, aside, closed, below, children }: Props) {
  return (
    <Accordion.Item
      value={value}
      className="border-t border-line data-[state=open]:border-l-[3px] data-[state=open]:border-l-moss-soft"
    >
      <Accordion.Header className="px-4">
        <Accordion.Trigger
          aria-label={title}
          className="group flex w-full items-center gap-2 py-2 text-left data-[state=open]:-ml-[3px]"
        >
          <span className="font-bold whitespace-nowrap">{title}</span>
          <span className="min-w-0 grow truncate pt-px text-sm text-ink2 group-data-[state=open]:hidden">
            {closed}
          </span>
          <span className="figures grow text-sm whitespace-nowrap text-ink2 group-data-[state=closed]:grow-0">
            {aside}
          </span>
        </Accordion.Trigger>
      </Accordion.Header>
      {below}
      <Accordion.Content className="pr-4 pb-2.5 pl-[13px]">{children}</Accordion.Content>
    </Accordion.Item>
  );
}
