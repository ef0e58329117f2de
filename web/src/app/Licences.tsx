import { Link } from 'react-router';
import { Heads, Table } from '../ui/Table.tsx';
import licences from './licences.json';

/** What Hosket is made of, and under which licences that is given. */
export function Licences() {
  return (
    <main className="mx-auto h-full max-w-3xl overflow-y-auto p-10">
      <h1 className="mb-2 text-xl">Licences</h1>
      <p className="mb-4">
        Hosket is under the MIT licence. It is made with {licences.length} open packages, each under its own.{' '}
        <Link to="/" className="text-clay underline">
          Back to the bench
        </Link>
      </p>
      <Table label="Licences">
        <Heads of={['Package', 'Version', 'Licence']} />
        <tbody>
          {licences.map(([name, version, licence]) => (
            <tr key={`${name} ${version}`}>
              <td>{name}</td>
              <td>{version}</td>
              <td>{licence}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </main>
  );
}
