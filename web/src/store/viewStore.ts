import type { ItemKind, Point, UnitSystem } from '@hosket/core';
import { create } from 'zustand';
import { createJSONStorage, persist, type StateStorage } from 'zustand/middleware';

export type Theme = 'plaster' | 'evening';

interface ViewState {
  units: UnitSystem;
  /** Light or dark; as the system has it until the builder chooses. */
  theme: 'system' | Theme;
  /** How high the section is drawn in each view, px; 0 where it is one closed line. A view that is not named here has the usual height. */
  sectionPx: Readonly<Record<string, number>>;
  /** Heights in the section are drawn this many times as tall. */
  stretch: number;
  /** What the tint of the plan tells. */
  /** Which heights stand beside what is drawn. */
  heightsShown: 'as drawn' | 'bare foam' | 'finished';
  shading: 'relief' | 'slope' | 'height' | 'wet' | 'standing' | 'cover' | 'paste';
  /** The base of the figure whose footing is shown, mm. */
  figureMm: number;
  /** Whether points that are put or dragged take hold of what is near. */
  snapping: boolean;
  /** What dragging the two points of the picture under the plan does. */
  placing: 'no' | 'points' | 'picture';
  /** What the view of layers shows. */
  layersPage: LayersPage;
  /** What the view of cutting shows. */
  cuttingPage: CuttingPage;
  /** What the view of the surface shows. */
  surfacePage: SurfacePage;
  /** What the view of the stores shows. */
  storesPage: StoresPage;
  /** Whether a shopping list is for the whole set or for the open tile. */
  listFor: 'set' | 'tile';
  /** Tools used last, the latest first. */
  recentTools: readonly ItemKind[];
  /** Whether the findings of a stage are shown as a list, not as one line. */
  findingsOpen: boolean;
  /** The bench sheet in type that is read at arm's length. */
  largeType: boolean;
  demoNoticeSeen: boolean;
  /** When all projects were saved in one file. */
  lastBackup: number | null;
}

export const layersPages = ['stack', 'levels', 'offers', 'costs', 'build', 'shed', 'gluing'] as const;
export const cuttingPages = ['sheets', 'pieces', 'list', 'upright', 'templates', 'how'] as const;
export const surfacePages = ['zones', 'ways', 'depth', 'counted', 'mixes', 'materials'] as const;
export const storesPages = ['cupboard', 'shopping', 'done', 'weight', 'checks', 'sheet'] as const;
export type StoresPage = (typeof storesPages)[number];
export type SurfacePage = (typeof surfacePages)[number];
export type CuttingPage = (typeof cuttingPages)[number];
export type LayersPage = (typeof layersPages)[number];

/** The usual height of the section, and between which it can be dragged, px. */
const USUAL_SECTION_PX = 124;
export const LEAST_SECTION_PX = 72;

export const sectionPxOf = ({ sectionPx }: Pick<ViewState, 'sectionPx'>, band: string): number =>
  sectionPx[band] ?? USUAL_SECTION_PX;

export function setSectionPx(band: string, px: number): void {
  useView.setState(({ sectionPx }) => ({ sectionPx: { ...sectionPx, [band]: px } }));
}

/** Opens the section of a view as it was, or closes it to one line. */
export function toggleSection(band: string): void {
  const now = sectionPxOf(useView.getState(), band);
  setSectionPx(band, now ? 0 : USUAL_SECTION_PX);
}

/** What cannot be kept because the place is full or denied lasts until the page is closed; no view may fail by it. */
const asFarAsThereIsRoom: StateStorage = {
  getItem: (name) => localStorage.getItem(name),
  setItem: (name, value) => {
    try {
      localStorage.setItem(name, value);
    } catch {
      // Full.
    }
  },
  removeItem: (name) => localStorage.removeItem(name),
};

/** How this browser likes to see things; no part of any project. */
export const useView = create<ViewState>()(
  persist(
    (): ViewState => ({
      units: 'metric',
      theme: 'system',
      sectionPx: { brief: 0, days: 0, stores: 0 },
      stretch: 1,
      heightsShown: 'as drawn',
      shading: 'relief',
      figureMm: 32,
      snapping: true,
      placing: 'no',
      layersPage: 'stack',
      cuttingPage: 'sheets',
      surfacePage: 'zones',
      storesPage: 'cupboard',
      listFor: 'set',
      recentTools: [],
      findingsOpen: false,
      largeType: false,
      demoNoticeSeen: false,
      lastBackup: null,
    }),
    {
      name: 'hosket-view',
      storage: createJSONStorage(() => {
        // Where it is denied this throws, and nothing is kept.
        localStorage.getItem('hosket-view');
        return asFarAsThereIsRoom;
      }),
    },
  ),
);

interface PickState {
  /** Marks, landforms and laid-in things that are picked. */
  ids: readonly string[];
  /** More are being picked: the list stays, each thing to be ticked. */
  several: boolean;
  /** The layer picked in stack, plan and section, counted from 1. */
  layer: number | null;
  /** The piece picked on the sheets and in the lists of cutting. */
  piece: string | null;
  /** The zone whose recipe is looked at: its id, or `rest`, `edges`, `walls`. */
  zone: string;
  /** The section line that the strip shows; the first where it is none. */
  sectionId: string | null;
  /** A place that a list has led to. */
  place: Point | null;
}

const nothing: PickState = {
  ids: [],
  several: false,
  layer: null,
  piece: null,
  zone: 'rest',
  sectionId: null,
  place: null,
};

/** What is picked now, in all drawings at once. */
export const usePicked = create<PickState>(() => nothing);
export const pickItem = (id: string | null): void =>
  usePicked.setState({ ids: id === null ? [] : [id], several: false, place: null });
export const pickItems = (ids: readonly string[]): void => usePicked.setState({ ids, several: true, place: null });
/** Takes one more into what is picked, or leaves it out. */
export const alsoPick = (id: string): void =>
  usePicked.setState(({ ids }) => ({
    ids: ids.includes(id) ? ids.filter((other) => other !== id) : [...ids, id],
    several: true,
  }));
export const pickLayer = (layer: number | null): void => usePicked.setState({ layer });
export const pickPiece = (piece: string | null): void => usePicked.setState({ piece });
export const pickZone = (zone: string): void => usePicked.setState({ zone });
export const showPlace = (place: Point | null): void => usePicked.setState({ place });
export const pickSection = (sectionId: string): void => usePicked.setState({ sectionId });
export const pickNothing = (): void => usePicked.setState(nothing);
