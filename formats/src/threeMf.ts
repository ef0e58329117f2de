import { strToU8, zipSync } from 'fflate';
import { xmlText } from './printable.ts';
import type { Solid } from './solids.ts';

/** Bodies as a 3MF package (3MF Core Specification 1.2), in millimetres, an object for each. */
export function writeThreeMf(title: string, solids: readonly Solid[]): Uint8Array {
  const number = (value: number) => String(Number(value.toFixed(4)));
  const objects = solids.map(({ name, corners, faces }, k) =>
    [
      `    <object id="${k + 1}" name="${xmlText(name)}" type="model"><mesh>`,
      `      <vertices>${corners.map(([x, y, z]) => `<vertex x="${number(x)}" y="${number(y)}" z="${number(z)}"/>`).join('')}</vertices>`,
      `      <triangles>${faces.map(([a, b, c]) => `<triangle v1="${a}" v2="${b}" v3="${c}"/>`).join('')}</triangles>`,
      '    </mesh></object>',
    ].join('\n'),
  );
  const model = [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<model unit="millimeter" xml:lang="en" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02">',
    `  <metadata name="Title">${xmlText(title)}</metadata>`,
    '  <resources>',
    ...objects,
    '  </resources>',
    `  <build>${solids.map((_, k) => `<item objectid="${k + 1}"/>`).join('')}</build>`,
    '</model>',
    '',
  ].join('\n');
  const types = `<?xml version="1.0" encoding="UTF-8"?>
<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>
`;
  const relations = `<?xml version="1.0" encoding="UTF-8"?>
<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>
`;
  return zipFiles({ '[Content_Types].xml': types, '_rels/.rels': relations, '3D/3dmodel.model': model });
}

/** The earliest day a package can name: the same model always gives the same file. */
const NO_DAY = new Date(1980, 0, 1);

/** Files in one zip. */
export const zipFiles = (files: Readonly<Record<string, string | Uint8Array>>): Uint8Array =>
  zipSync(
    Object.fromEntries(
      Object.entries(files).map(([name, body]) => [name, typeof body === 'string' ? strToU8(body) : body]),
    ),
    { mtime: NO_DAY, level: 6 },
  );
