/** The head of a table: what stands in each column. */
export function Heads({ of }: { of: readonly string[] }) {
  return (
    <thead>
      <tr>
        {of.map((head) => (
          <th
            key={head}
            scope="col"
            className="border-b border-graphite/50 py-1 pr-3 text-left text-xs font-normal text-muted"
          >
            {head}
          </th>
        ))}
      </tr>
    </thead>
  );
}
