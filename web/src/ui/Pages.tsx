import { Tabs } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props<T extends string> {
  label: string;
  pages: readonly T[];
  titles: Record<T, string>;
  page: T;
  onPage: (page: T) => void;
  children: ReactNode;
}

/** The pages of a view behind tabs; each is a `PageOf` among the children. */
export function Pages<T extends string>({ label, pages, titles, page, onPage, children }: Props<T>) {
  return (
    <Tabs.Root value={page} onValueChange={(next) => onPage(next as T)} className="flex min-h-0 flex-1 flex-col">
      <Tabs.List aria-label={label} className="mb-2 flex flex-wrap gap-x-4 border-b border-line">
        {pages.map((name) => (
          <Tabs.Trigger
            key={name}
            value={name}
            className="-mb-px cursor-pointer border-b-2 border-transparent pb-1 text-sm text-muted data-[state=active]:border-clay data-[state=active]:text-graphite"
          >
            {titles[name]}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {children}
    </Tabs.Root>
  );
}

/** One page; it scrolls by itself unless it fills its room. */
export function PageOf<T extends string>({ name, fills, children }: { name: T; fills?: boolean; children: ReactNode }) {
  return (
    <Tabs.Content
      value={name}
      className={`relative min-h-0 flex-1 outline-none ${fills ? 'data-[state=active]:flex data-[state=active]:flex-col' : 'overflow-y-auto pb-4'}`}
    >
      {children}
    </Tabs.Content>
  );
}
