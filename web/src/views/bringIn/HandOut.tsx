import { writePlan } from '@hosket/core';
import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { savePicture } from '../../instruments/handling/picture.ts';
import { fileStem } from '../../store/fileStem.ts';
import { projectNow } from '../../store/projectStore.ts';
import type { FilesAfar } from '../../worker/files.ts';
import { usePlan } from '../../worker/planStore.ts';
import { saveAs } from '../savePdf.ts';

const kinds = [
  { ending: 'dxf', words: 'Plan as DXF, in millimetres', type: 'application/dxf' },
  { ending: 'geojson', words: 'Plan as GeoJSON, in real size', type: 'application/geo+json' },
  { ending: 'asc', words: 'Ground as ASCII grid, in millimetres', type: 'text/plain' },
  { ending: 'plan.json', words: 'Every figure of the plan as JSON', type: 'application/json' },
  { ending: 'tif', words: 'Ground as GeoTIFF, in millimetres', type: 'image/tiff' },
] as const;
type Ending = (typeof kinds)[number]['ending'];

function contentOf(calls: FilesAfar, ending: Ending): Promise<string | ArrayBuffer> {
  if (ending === 'dxf') return calls.writeDxf(projectNow());
  if (ending === 'geojson') return calls.writeGeoJson(projectNow());
  const { fields, report } = usePlan.getState();
  if (ending === 'plan.json' && report) return Promise.resolve(writePlan(report));
  if (!fields) throw new Error('the ground is not worked out yet');
  const heights = { ...fields.ground, cell: fields.ground.cellMm };
  return ending === 'asc' ? calls.writeAsciiGrid(heights) : calls.writeGeoTiff(heights);
}

/** What the middle of the Ground shows. */
export type Pane = 'plan' | 'model';

const item = 'cursor-pointer rounded-md px-3 py-1 outline-none data-[highlighted]:bg-plaster';

/** What is shown as a picture; the plan and the ground as files for other programs. */
export function HandOut({ pane }: { pane: Pane }) {
  const give = ({ ending, type }: (typeof kinds)[number]) =>
    saveAs(`${fileStem(projectNow().name)}.${ending}`, type, (calls) => contentOf(calls, ending));
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className="flex min-h-6 cursor-pointer items-center gap-1 rounded-md px-2 text-xs hover:bg-plaster">
        Hand out <ChevronDown size={12} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Content align="start" className="z-20 rounded-md border border-line bg-sheet p-1 text-sm shadow-lg">
        <DropdownMenu.Item className={item} onSelect={() => void savePicture(pane)}>
          Picture of the {pane}, PNG
        </DropdownMenu.Item>
        {kinds.map((kind) => (
          <DropdownMenu.Item key={kind.ending} className={item} onSelect={() => void give(kind)}>
            {kind.words}
          </DropdownMenu.Item>
        ))}
      </DropdownMenu.Content>
    </DropdownMenu.Root>
  );
}
