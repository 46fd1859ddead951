import { useId, type ComponentProps } from 'react';

const BOX = 'w-full rounded border border-line2 bg-sheet px-2 text-ink';

interface Labelled {
  label: string;
  hideLabel?: boolean;
}

export function TextField({
  label,
  hideLabel = false,
  className = '',
  ...rest
}: Labelled & ComponentProps<'input'>) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-0.5 block text-sm text-ink2'}>
        {label}
      </label>
      <input id={id} className={`${BOX} h-8`} {...rest} />
    </div>
  );
}

export function TextArea({
  label,
  hideLabel = false,
  className = '',
  ...rest
}: Labelled & ComponentProps<'textarea'>) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-0.5 block text-sm text-ink2'}>
        {label}
      </label>
      <textarea id={id} className={`${BOX} py-1.5`} {...rest} />
    </div>
  );
}
