import { localeNow } from '@hosket/core';
import { Archive, ArchiveRestore } from 'lucide-react';
import { useState } from 'react';
import { backUpAll, bringBack } from '../store/backup.ts';
import { useView } from '../store/viewStore.ts';
import { Button } from '../ui/Button.tsx';
import { download } from '../ui/download.ts';
import { pickFile } from '../ui/pickFile.ts';
import { Folder } from './Folder.tsx';
import { Room } from './Room.tsx';

/** Who has not backed up for so long is reminded, days. */
const OFTEN_DAYS = 14;
const DAY_MS = 86_400_000;

const day = (at: number) =>
  new Intl.DateTimeFormat(localeNow(), { day: 'numeric', month: 'long', year: 'numeric' }).format(at);
const projects = (count: number) => `${count} ${count === 1 ? 'project' : 'projects'}`;

/** All projects in one file, and back; `count` are here now. */
export function Backup({ count }: { count: number }) {
  const last = useView((view) => view.lastBackup);
  const [told, setTold] = useState('');
  const late = count > 1 && (last === null || Date.now() - last > OFTEN_DAYS * DAY_MS);
  const backUp = async () => {
    const { zip, count: saved, left } = await backUpAll();
    download(
      new Blob([zip as Uint8Array<ArrayBuffer>], { type: 'application/zip' }),
      `hosket-backup-${new Date().toISOString().slice(0, 10)}.zip`,
    );
    useView.setState({ lastBackup: Date.now() });
    setTold(`${projects(saved)} saved.${left.length ? ` Not readable, and so not in it: ${left.join(', ')}.` : ''}`);
  };
  const restore = async () => {
    const file = await pickFile('.zip,application/zip');
    if (!file) return;
    try {
      const { added, same, refused } = await bringBack(new Uint8Array(await file.arrayBuffer()));
      setTold(
        [
          `${projects(added)} brought back.`,
          ...(same ? [`${projects(same)} ${same === 1 ? 'was' : 'were'} here already.`] : []),
          ...refused.map((why) => `Not brought back: ${why}`),
        ].join(' '),
      );
    } catch (error) {
      setTold((error as Error).message);
    }
  };
  return (
    <section aria-label="Backup" className="mt-4">
      <h3 className="text-base">Backup</h3>
      <p className={late ? 'text-plum' : 'text-muted'}>
        {last === null ? 'Nothing was backed up yet.' : `Last backed up on ${day(last)}.`}
        {late && ' What is kept in a browser goes with it: save a file elsewhere.'}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        <Button onClick={backUp}>
          <Archive size={14} aria-hidden /> Back up all
        </Button>
        <Button onClick={restore}>
          <ArchiveRestore size={14} aria-hidden /> Bring back a backup
        </Button>
      </div>
      <Folder onWrong={setTold} />
      <Room />
      <p role="status" className="mt-1">
        {told}
      </p>
    </section>
  );
}
