import type { Page } from '@hosket/core';
import { PaperPage } from './PaperPage.tsx';

/** All pages side by side, each with its number and title. */
export const PaperPages = ({ label, pages, widthPx }: { label: string; pages: readonly Page[]; widthPx: number }) => (
  <ol aria-label={label} className="mb-4 flex flex-wrap gap-3">
    {pages.map((page, k) => (
      <li key={`${page.title} ${k}`} style={{ width: widthPx }}>
        <PaperPage page={page} />
        <span className="block text-xs text-muted">
          {k + 1}. {page.title}
        </span>
      </li>
    ))}
  </ol>
);
