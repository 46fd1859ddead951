import { Switch } from 'radix-ui';

interface Props {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
  disabled?: boolean;
}

export function Toggle({ label, on, onChange, disabled = false }: Props) {
  return (
    <Switch.Root
      checked={on}
      onCheckedChange={onChange}
      disabled={disabled}
      aria-label={label}
      onClick={(event) => event.stopPropagation()}
      className="relative h-[18px] w-8 shrink-0 rounded-full border border-ink2 bg-sheet data-[state=checked]:border-moss data-[state=checked]:bg-moss"
    >
      <Switch.Thumb className="block size-3 translate-x-0.5 rounded-full bg-ink2 transition-transform data-[state=checked]:translate-x-4 data-[state=checked]:bg-on-moss" />
    </Switch.Root>
  );
}
