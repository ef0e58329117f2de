/** What to mind while something is done; the maker's sheet and local rules go before it. */
export function Cautions({ of }: { of: readonly string[] }) {
  if (!of.length) return null;
  return (
    <ul aria-label="Cautions" className="mt-1 border-l-[3px] border-ochre pl-2 text-xs">
      {of.map((caution) => (
        <li key={caution}>{caution}</li>
      ))}
    </ul>
  );
}
