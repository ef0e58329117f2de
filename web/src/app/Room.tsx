import { decimals } from '@hosket/core';
import { useEffect, useState } from 'react';
import { Button } from '../ui/Button.tsx';

interface Told {
  usedMb: number;
  ofMb: number;
  lasting: boolean;
}

async function read(): Promise<Told | null> {
  const { storage } = navigator;
  if (!storage?.estimate) return null;
  const { usage = 0, quota = 0 } = await storage.estimate();
  return { usedMb: usage / 1e6, ofMb: quota / 1e6, lasting: (await storage.persisted?.()) ?? false };
}

const megabytes = (mb: number) =>
  mb >= 1000 ? `${decimals(mb / 1000, 1)} GB` : `${mb < 10 ? decimals(mb, 1) : Math.round(mb)} MB`;

/** How much room is used and free in this browser, and whether the browser may clear it when its own runs short. */
export function Room() {
  const [told, setTold] = useState<Told | null>(null);
  const [asked, setAsked] = useState(false);
  useEffect(() => {
    read().then(setTold, () => {});
  }, []);
  if (!told) return null;
  const ask = async () => {
    await navigator.storage.persist();
    setAsked(true);
    setTold(await read());
  };
  return (
    <p className="mt-2 flex flex-wrap items-center gap-2 text-muted" data-testid="room">
      <span>
        Room in this browser: <span className="figure">{megabytes(told.usedMb)}</span> used,{' '}
        <span className="figure">{megabytes(Math.max(0, told.ofMb - told.usedMb))}</span> free.{' '}
        {told.lasting
          ? 'It is kept until you clear it.'
          : asked
            ? 'The browser may still clear it when its disk runs short: back up.'
            : 'The browser may clear it when its disk runs short.'}
      </span>
      {!told.lasting && !asked && <Button onClick={ask}>Ask it to keep all</Button>}
    </p>
  );
}
