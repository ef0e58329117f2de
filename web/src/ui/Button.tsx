import type { ButtonHTMLAttributes, ReactNode } from 'react';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  tone?: 'plain' | 'main' | 'quiet';
  children: ReactNode;
}

const tones = {
  plain: 'border border-line bg-sheet hover:border-graphite',
  main: 'border border-clay bg-clay text-on-clay hover:opacity-90',
  quiet: 'border border-transparent hover:border-line',
};

export function Button({ tone = 'plain', className = '', children, ...rest }: Props) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-7 cursor-pointer items-center gap-1.5 rounded-md px-2.5 py-0.5 text-sm disabled:cursor-default disabled:opacity-45 ${tones[tone]} ${className}`}
      {...rest}
    >
      {children}
    </button>
  );
}
