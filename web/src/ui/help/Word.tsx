import { type ReactNode, use } from 'react';
import { SurroundingsContext } from '../surroundings.ts';
import { tellOf } from './tell.ts';

interface Props {
  /** The words looked up, where they differ from what is shown. */
  of?: string;
  children: ReactNode;
}

/** Words that tell of themselves: by pointer, by touch, with F1, and in the list of words (`app/HelpCard.tsx` shows it). */
export function Word({ of, children }: Props) {
  const { view } = use(SurroundingsContext);
  const label = of ?? (typeof children === 'string' ? children : '');
  const told = label ? tellOf(label, view) : undefined;
  if (!told) return children;
  return (
    <span className="word" data-word={label} data-view={view}>
      {children}
    </span>
  );
}

/** What is told of a field, for those who do not see the card. */
export function useTold(label: string): string | undefined {
  const { view } = use(SurroundingsContext);
  return tellOf(label, view)?.text;
}
