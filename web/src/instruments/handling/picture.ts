import { fileStem } from '../../store/fileStem.ts';
import { projectStore } from '../../store/projectStore.ts';
import { download } from '../../ui/download.ts';
import { sayWrong } from '../../ui/toast.tsx';

/** The drawings that can be kept as pictures; each bears its name in `data-picture`. */
export type Drawing = 'plan' | 'section' | 'model';

/** Pictures are saved at twice the size on the screen. */
const RATIO = 2;

let modelPicture: (() => Promise<Blob | null>) | null = null;

/** The model draws itself, since a page cannot copy its canvas once it has been shown. */
export const offerModelPicture = (make: typeof modelPicture): void => {
  modelPicture = make;
};

/** Saves a drawing as a PNG named after the project. */
export async function savePicture(drawing: Drawing): Promise<void> {
  try {
    const blob = drawing === 'model' ? await modelPicture?.() : await pageElement(drawing);
    if (!blob) return sayWrong(`There is no ${drawing} to save yet.`);
    download(blob, `${fileStem(projectStore.getState().project?.name ?? '')}-${drawing}.png`);
  } catch (error) {
    sayWrong(`The picture was not saved: ${(error as Error).message || 'the browser would not draw it'}.`);
  }
}

async function pageElement(drawing: Drawing): Promise<Blob | null> {
  const element = document.querySelector<HTMLElement>(`[data-picture="${drawing}"]`);
  if (!element) return null;
  const { toBlob } = await import('html-to-image');
  const background = getComputedStyle(document.documentElement).getPropertyValue('--plaster').trim();
  return toBlob(element, { pixelRatio: RATIO, backgroundColor: background, skipFonts: true });
}
