import type { ComponentProps } from 'react';

const LOOKS = {
  go: 'border-moss bg-moss text-on-moss',
  plain: 'border-moss bg-sheet text-moss',
  quiet: 'border-transparent bg-transparent text-moss',
  danger: 'border-clay bg-sheet text-clay',
};

interface Props extends ComponentProps<'button'> {
  look?: keyof typeof LOOKS;
  small?: boolean;
}

export function Button({ look = 'plain', small = false, className = '', type = 'button', ...rest }: Props) {
  const size = small ? 'h-[26px] px-2 text-sm' : 'h-8 px-3';
  return (
    <button
      type={type}
      className={`inline-flex items-center gap-1.5 rounded border font-semibold whitespace-nowrap disabled:opacity-50 ${size} ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}
