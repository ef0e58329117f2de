/** What a reader had to say of a file. */
export function Notes({ notes }: { notes: readonly string[] }) {
  if (!notes.length) return null;
  return (
    <ul className="my-2 border-l-[3px] border-ochre bg-plaster px-3 py-1 text-sm" aria-label="What to know of the file">
      {notes.map((note) => (
        <li key={note}>{note}</li>
      ))}
    </ul>
  );
}
