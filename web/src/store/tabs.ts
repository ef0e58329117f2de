/** What tabs of one browser tell one another about the projects they keep. */

export type Told =
  /** A project was written, deleted or brought back. */
  | { kind: 'kept' | 'deleted' | 'restored'; id: string }
  /** A tab asks for the pen of a project; the one that holds it has written all and lets go. */
  | { kind: 'give' | 'given'; id: string };

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('hosket');

/** Tells all other tabs. */
export const tell = (told: Told): void => channel?.postMessage(told);

/** Calls `hear` for what other tabs tell. Gives a function that stops it. */
export function listen(hear: (told: Told) => void): () => void {
  const heard = ({ data }: MessageEvent<Told>) => hear(data);
  channel?.addEventListener('message', heard);
  return () => channel?.removeEventListener('message', heard);
}
