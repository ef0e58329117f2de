/** All words that tell of themselves: those on the page first, so that keyboards and readers come to every figure's meaning, then the trade's, then what can be drawn. */
import { kindWords } from '@hosket/core';
import { type ReactNode, useState } from 'react';
import { Dialog } from '../ui/Dialog.tsx';
import { HelpPicture } from '../ui/help/HelpPicture.tsx';
import { type Told, tellOf } from '../ui/help/tell.ts';
import { tradeWords } from '../ui/help/tradeWords.ts';
import { allTools } from '../views/ground/toolGroups.ts';
import { ToolSign } from '../views/ground/toolSigns.tsx';
import { useShell } from './shellStore.ts';

interface Entry extends Omit<Told, 'picture'> {
  picture?: ReactNode;
}

const drawn = ({ word, text, picture }: Told): Entry => ({
  word,
  text,
  picture: picture && <HelpPicture id={picture} />,
});

/** What stands on the page now, each word once, as it is read. */
function onThisPage(): Entry[] {
  const seen = new Map<string, Entry>();
  for (const { dataset } of document.querySelectorAll<HTMLElement>('main [data-word], aside [data-word]')) {
    const told = tellOf(dataset.word ?? '', dataset.view);
    if (told && !seen.has(told.text)) seen.set(told.text, drawn(told));
  }
  return [...seen.values()];
}

const capital = (word: string) => word[0].toUpperCase() + word.slice(1);

const trade: readonly Entry[] = Object.entries(tradeWords)
  .sort(([a], [b]) => a.localeCompare(b))
  .map(([word, told]) => drawn({ word: capital(word), ...told }));

const kinds: readonly Entry[] = allTools.map((kind) => ({
  word: kindWords[kind].title,
  text: kindWords[kind].about,
  picture: <ToolSign kind={kind} />,
}));

export function Words() {
  const open = useShell((shell) => shell.words);
  return (
    <Dialog open={open} onOpen={(words) => useShell.setState({ words })} title="Words">
      <List />
    </Dialog>
  );
}

function List() {
  const [here] = useState(onThisPage);
  const [typed, setTyped] = useState('');
  const sought = typed.trim().toLowerCase();
  const fits = ({ word, text }: Entry) => `${word} ${text}`.toLowerCase().includes(sought);
  const groups = [
    { title: 'On this page', entries: here.filter(fits) },
    { title: 'Words of the trade', entries: trade.filter(fits) },
    { title: 'What can be drawn', entries: kinds.filter(fits) },
  ].filter(({ entries }) => entries.length);
  return (
    <>
      <input
        aria-label="Find a word"
        placeholder="Find a word"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        className="mb-2 w-full rounded-md border border-line bg-plaster px-3 py-1.5 text-base"
      />
      {/* Reached by Tab, so that it can be scrolled by keyboard. */}
      <section tabIndex={groups.length ? 0 : -1} aria-label="All words" className="max-h-[60vh] overflow-y-auto">
        {groups.length === 0 && <p className="p-3 text-muted">No such word here.</p>}
        {groups.map(({ title, entries }) => (
          <div key={title} className="mb-3">
            <h3 className="sticky top-0 bg-sheet py-1 text-base">{title}</h3>
            <dl>
              {entries.map(({ word, text, picture }) => (
                <div key={word} className="grid grid-cols-[minmax(0,1fr)_150px] gap-x-4 border-b border-line py-1.5">
                  <div>
                    <dt className="font-semibold">{word}</dt>
                    <dd>{text}</dd>
                  </div>
                  <div aria-hidden="true" className="flex items-center justify-end">
                    {picture}
                  </div>
                </div>
              ))}
            </dl>
          </div>
        ))}
      </section>
    </>
  );
}
