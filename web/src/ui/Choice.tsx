import { DropdownMenu } from 'radix-ui';

interface Props<T extends string> {
  label: string;
  value: T;
  /** What is chosen may be shown shorter than what there is to choose. */
  options: { value: T; text: string; short?: string; keepsOpen?: boolean }[];
  onChoose: (value: T) => void;
  className?: string;
}

/** A word that can be changed for another one: it looks like part of a sentence and opens a menu. */
export function Choice<T extends string>({ label, value, options, onChoose, className = '' }: Props<T>) {
  const now = options.find((o) => o.value === value);
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        aria-label={`${label}: ${now?.short ?? now?.text ?? value}`}
        className={`rounded bg-ground px-[7px] py-0.5 font-semibold text-ink data-[state=open]:bg-moss-soft ${className}`}
      >
        {now?.short ?? now?.text ?? value}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          className="z-50 min-w-40 rounded-md border border-line2 bg-sheet py-1 shadow-lg"
        >
          <DropdownMenu.RadioGroup value={value} onValueChange={(chosen) => onChoose(chosen as T)}>
            {options.map((option) => (
              <DropdownMenu.RadioItem
                key={option.value}
                value={option.value}
                onSelect={(e) => option.keepsOpen && e.preventDefault()}
                className="cursor-pointer px-3 py-1 outline-none data-[highlighted]:bg-moss-soft data-[state=checked]:font-semibold"
              >
                {option.text}
              </DropdownMenu.RadioItem>
            ))}
          </DropdownMenu.RadioGroup>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
