import { localeNow } from '@hosket/core';
import { FolderSync } from 'lucide-react';
import { useStore } from 'zustand';
import { askAgain, chooseFolder, folderStore, leaveFolder } from '../store/folder.ts';
import { Button } from '../ui/Button.tsx';

const clock = (at: number) => new Intl.DateTimeFormat(localeNow(), { hour: '2-digit', minute: '2-digit' }).format(at);

/** The folder on disk that follows the projects, where the browser allows it; `onWrong` is told what goes wrong. */
export function Folder({ onWrong }: { onWrong: (text: string) => void }) {
  const following = useStore(folderStore, (state) => state.following);
  const { kind } = following;
  const press = (act: () => Promise<unknown>) => () => act().catch((error: Error) => onWrong(error.message));
  if (kind === 'cannot')
    return <p className="mt-2 text-muted">This browser lets no page write into a folder by itself: back up instead.</p>;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2" data-testid="folder">
      {kind === 'none' && <span className="text-muted">A folder on your disk can follow every change as files.</span>}
      {kind === 'follows' && (
        <span className="text-muted">
          Folder “{following.folder}” follows: {following.files} {following.files === 1 ? 'file' : 'files'}
          {following.at === null ? '' : `, last written ${clock(following.at)}`}. Deleted projects stay there.
        </span>
      )}
      {kind === 'asks' && (
        <span className="text-plum">
          The browser wants to be asked before it writes into “{following.folder}” again.
        </span>
      )}
      {kind === 'failed' && (
        <span className="text-plum">
          “{following.folder}” could not be written: {following.why}
        </span>
      )}
      {(kind === 'asks' || kind === 'failed') && <Button onClick={press(askAgain)}>Let it follow again</Button>}
      <Button onClick={press(chooseFolder)}>
        <FolderSync size={14} aria-hidden /> {kind === 'none' ? 'Let a folder follow' : 'Another folder'}
      </Button>
      {kind !== 'none' && <Button onClick={press(leaveFolder)}>Stop following</Button>}
    </div>
  );
}
