import { type PlanReport, ringSize, toolLimits } from '@hosket/core';
import { useProject } from '../../store/projectStore.ts';
import { pickPiece, usePicked } from '../../store/viewStore.ts';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { Heads, Table } from '../../ui/Table.tsx';

const heads = [
  'Piece',
  'Layer',
  { number: 'Size' },
  { number: 'Area' },
  { number: 'Outline' },
  { number: 'Neck' },
  { number: 'Inside corner' },
  'Lies on',
];

/** Every piece in a table, with its seams below. */
export function PiecesPage({ report: { cutting } }: { report: PlanReport }) {
  const { cutting: settings } = useProject();
  const picked = usePicked((state) => state.piece);
  const say = useSay();
  const { neckMm, radiusMm } = toolLimits[settings.tool];
  if (!cutting.pieces.length) return <p className="text-muted">There is nothing to cut yet.</p>;
  return (
    <>
      <Table label="Pieces">
        <Heads of={heads} />
        <tbody>
          {cutting.pieces.map((piece) => {
            const size = ringSize(piece.outline.outer);
            const bed = cutting.beds.find(({ id }) => id === piece.bed);
            const thin = piece.neck !== null && piece.neck.widthMm < neckMm;
            const tight = piece.insideRadiusMm !== null && piece.insideRadiusMm < radiusMm;
            return (
              <tr key={piece.id} data-chosen={picked === piece.id}>
                <th scope="row">
                  <button
                    type="button"
                    className="cursor-pointer font-semibold"
                    aria-pressed={picked === piece.id}
                    onClick={() => pickPiece(picked === piece.id ? null : piece.id)}
                  >
                    {piece.id}
                  </button>
                </th>
                <td>
                  <Figure text={`${piece.panel ?? piece.layer}, ${say.mm(piece.thicknessMm)}`} />
                </td>
                <td className="number">
                  <Figure text={`${say.mm(size.widthMm).replace(/ \w+$/, '')} × ${say.mm(size.depthMm)}`} />
                </td>
                <td className="number">
                  <Figure text={say.area(piece.areaMm2)} />
                </td>
                <td className="number">
                  <Figure text={say.mm(Math.round(piece.outlineMm))} />
                </td>
                <td className={`number ${thin ? 'text-plum' : ''}`}>{piece.neck ? say.mm(piece.neck.widthMm) : '–'}</td>
                <td className={`number ${tight ? 'text-plum' : ''}`}>
                  {piece.insideRadiusMm === null ? '–' : say.mm(piece.insideRadiusMm)}
                </td>
                <td>{piece.state === 'put away' ? 'cut, put away' : (bed?.name ?? 'nothing: it fits nowhere')}</td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      <p className="mt-2 text-xs text-muted">
        A dash: no neck narrower than 24 mm, no inside corner tighter than 8 mm. Marked: harder than a {settings.tool}{' '}
        likes ({say.mm(neckMm)}, {say.mm(radiusMm)}; common practice, no source). Slivers under{' '}
        {say.area(settings.sliverMm2)} are left out
        {cutting.dropped.length > 0 &&
          `: ${cutting.dropped.map(({ layer, count }) => `${count} of layer ${layer}`).join(', ')}`}
        .
      </p>
      {cutting.seams.length > 0 && (
        <section aria-label="Seams" className="mt-3">
          <h2 className="mb-1 text-base">
            <Word>Seams</Word>
          </h2>
          <ul className="text-sm">
            {cutting.seams.map((seam) => (
              <li
                key={`${seam.layer} ${seam.points[0].join()} ${seam.points[1].join()}`}
                className="border-b border-line py-1"
              >
                {seam.layer ? `Layer ${seam.layer}` : 'Upright part'}: <Figure text={say.mm(seam.lengthMm)} />
                {seam.keys > 0 && `, ${seam.keys} ${seam.keys === 1 ? 'key' : 'keys'}`}
                {seam.apartMm !== null && (
                  <>
                    , <Figure text={say.mm(seam.apartMm)} /> from the nearest seam of the layer below
                  </>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
