import { baseSize, type Project, type Underlay } from '@hosket/core';
import { withFiles } from '../../worker/files.ts';

/** A picture under a plan needs no more pixels than this along its longer side. */
const MOST_PX = 2000;
const QUALITY = 0.86;

/** A picture file made ready to lie under the plan: no larger than a plan shows, in its middle, as wide as the base. Throws where it is no picture. */
export async function underlayOf(file: File, project: Project): Promise<Underlay> {
  const size = await withFiles(`Looking at ${file.name}`, async (calls) =>
    calls.pictureSize(new Uint8Array(await file.arrayBuffer())),
  );
  if (!size.ok) throw new Error(`${size.fault.message} ${size.fault.remedy}`);
  const bitmap = await createImageBitmap(file);
  const shrink = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height));
  const [widthPx, heightPx] = [
    Math.max(1, Math.round(bitmap.width * shrink)),
    Math.max(1, Math.round(bitmap.height * shrink)),
  ];
  const canvas = document.createElement('canvas');
  canvas.width = widthPx;
  canvas.height = heightPx;
  const context = canvas.getContext('2d');
  if (!context) throw new Error('the browser cannot draw it');
  // A picture that one sees through would be black in a JPEG.
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, widthPx, heightPx);
  context.drawImage(bitmap, 0, 0, widthPx, heightPx);
  bitmap.close();
  const data = canvas.toDataURL('image/jpeg', QUALITY).split(',')[1];
  const { widthMm, depthMm } = baseSize(project.base);
  const scale = Math.min(widthMm / widthPx, depthMm / heightPx);
  const at = (x: number, y: number): [number, number] => [
    Math.round(100 * (widthMm / 2 + (x - widthPx / 2) * scale)) / 100,
    Math.round(100 * (depthMm / 2 - (y - heightPx / 2) * scale)) / 100,
  ];
  const [left, right]: [[number, number], [number, number]] = [
    [widthPx * 0.2, heightPx * 0.8],
    [widthPx * 0.8, heightPx * 0.8],
  ];
  return {
    name: file.name.slice(0, 120),
    picture: { type: 'image/jpeg', widthPx, heightPx, data },
    pins: [
      { px: left, mm: at(...left) },
      { px: right, mm: at(...right) },
    ],
    strengthPercent: 50,
    hidden: false,
  };
}
