import { choice, height, type KindWords, length } from './schemas/kindFields.ts';
import { accesses, bayUses, roofShapes } from './schemas/voidSchema.ts';
import { covers } from './schemas/zoneSchema.ts';

const floor = height('floorMm', 'Floor');
const head = length('headMm', 'Height inside');
const roofLeast = { ...length('roofLeastMm', 'Thinnest roof', 0), most: 200 };

/** What is hollowed out of the ground, and what covers it: how each is drawn and what is asked of it. */
export const hollowWords = {
  cave: {
    title: 'Cave',
    drawn: 'outline',
    about: 'A hollow with a floor and a roof; draw its outline past the face where its mouth is to open.',
    fields: [floor, head, choice('roof', 'Roof', roofShapes), roofLeast],
  },
  tunnel: {
    title: 'Tunnel',
    drawn: 'line',
    about: 'A passage from portal to portal.',
    fields: [
      length('widthMm', 'Width'),
      height('fromMm', 'Floor at its start'),
      height('toMm', 'Floor at its end'),
      head,
      choice('roof', 'Roof', roofShapes),
      roofLeast,
    ],
  },
  cable: {
    title: 'Cable run',
    drawn: 'line',
    about: 'A bore from a lamp to the edge of the base or to a bay.',
    fields: [
      { ...length('boreMm', 'Bore'), most: 100 },
      height('fromMm', 'Middle at its start'),
      height('toMm', 'Middle at its end'),
      roofLeast,
    ],
  },
  bay: {
    title: 'Bay',
    drawn: 'outline',
    about: 'Room for a battery, a switch or a light, to be reached from outside.',
    fields: [choice('use', 'For', bayUses), choice('access', 'Reached', accesses), floor, head, roofLeast],
  },
  chamber: {
    title: 'Dry chamber',
    drawn: 'outline',
    about: 'A closed room that water must not reach.',
    fields: [floor, head, roofLeast],
  },
  patch: {
    title: 'Patch',
    drawn: 'outline',
    about: 'Ground with a cover of its own.',
    fields: [choice('cover', 'Cover', covers)],
  },
} as const satisfies Readonly<Record<string, KindWords>>;

/** Roofs thinner than this crack under a thumb (common practice, no source). */
const USUAL_ROOF_MM = 6;
const under = (land: number, mm: number) => Math.max(0, land - mm);

/** What they begin with, on land of a given height. */
export const hollowBeginnings = {
  cave: (land: number) => ({
    floorMm: under(land, 30),
    headMm: 20,
    roof: 'vaulted',
    opens: true,
    roofLeastMm: USUAL_ROOF_MM,
  }),
  tunnel: (land: number) => ({
    widthMm: 30,
    fromMm: under(land, 40),
    toMm: under(land, 40),
    headMm: 30,
    roof: 'vaulted',
    opens: true,
    roofLeastMm: USUAL_ROOF_MM,
  }),
  cable: (land: number) => ({ boreMm: 5, fromMm: under(land, 8), toMm: 4, roofLeastMm: 3 }),
  bay: () => ({ use: 'battery', access: 'from below', floorMm: 0, headMm: 18, roofLeastMm: USUAL_ROOF_MM }),
  chamber: () => ({ floorMm: 3, headMm: 15, roofLeastMm: USUAL_ROOF_MM }),
  patch: () => ({ cover: 'grass', recipe: null }),
};
