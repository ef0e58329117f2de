import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import {
  type Coat,
  catalogueOf,
  type Finding,
  findingIn,
  freeId,
  newCoat,
  operationWords,
  type Recipe,
} from '@hosket/core';
import { GripVertical, Plus, Trash2, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { coatTexture } from '../../instruments/textures/coatTextures.tsx';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { useSay } from '../../ui/Figures.tsx';
import { FindingItem } from '../FindingItem.tsx';
import { CoatFields } from './CoatFields.tsx';
import { bandPx, coatName, coatRemark } from './coatWords.ts';

interface Props {
  recipe: Recipe;
  /** What the rules say of coats; marked on their bands. */
  findings: readonly Finding[];
  onMove: (id: string, to: number) => void;
  onCoat: (id: string, change: Partial<Coat>) => void;
  onRecipe: (recipe: Recipe) => void;
}

/** A recipe drawn as what it builds up: foam below, each coat as a band (thicker than it is), the last one on top. Moved by dragging or keys. */
export function BuildUp({ recipe, findings, onMove, onCoat, onRecipe }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  // The last coat is drawn on top.
  const top = [...recipe.coats].reverse();
  const chosen = recipe.coats.find(({ id }) => id === open);
  const told = findings.filter(({ coat }) => coat?.coat === chosen?.id);
  const end = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    onMove(
      String(active.id),
      recipe.coats.findIndex(({ id }) => id === over.id),
    );
  };
  const add = () => {
    const id = freeId('coat', recipe.coats);
    onRecipe({ ...recipe, coats: [...recipe.coats, newCoat(id, 'paint', 'acrylic')] });
    setOpen(id);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div>
        <DndContext
          sensors={sensors}
          collisionDetection={closestCenter}
          modifiers={[restrictToVerticalAxis, restrictToParentElement]}
          onDragEnd={end}
        >
          <SortableContext items={top.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
            <ol
              data-drawing
              aria-label={`Build-up of ${recipe.name}, from the top down`}
              className="border border-line"
            >
              {top.map((coat) => (
                <Band
                  key={coat.id}
                  coat={coat}
                  wrong={findings.find((finding) => finding.coat?.coat === coat.id && finding.severity !== 'note')}
                  open={open === coat.id}
                  onOpen={() => setOpen(open === coat.id ? null : coat.id)}
                />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
        <div
          data-drawing
          aria-hidden="true"
          className="flex h-9 items-center gap-2 border border-t-0 border-line bg-foam-a px-2 text-xs"
        >
          <span className="w-[94px]" />
          foam, board, or what is there
        </div>
        <Button className="mt-2" onClick={add}>
          <Plus size={14} aria-hidden /> Add a coat on top
        </Button>
      </div>
      <div>
        {chosen ? (
          <>
            {told.length > 0 && (
              <ul aria-label="Findings of this coat">
                {told.map((finding) => (
                  <FindingItem key={`${finding.code} ${finding.message}`} finding={finding} />
                ))}
              </ul>
            )}
            <CoatFields coat={chosen} onChange={(change) => onCoat(chosen.id, change)} />
            <Button
              tone="quiet"
              className="mt-2"
              onClick={() => {
                onRecipe({ ...recipe, coats: recipe.coats.filter(({ id }) => id !== chosen.id) });
                setOpen(null);
              }}
            >
              <Trash2 size={14} aria-hidden /> Take this coat out
            </Button>
          </>
        ) : (
          <p className="text-sm text-muted">
            Pick a coat to change it. Drag a band to another place, or take hold of its handle with Space and move it
            with the arrow keys. Bands are drawn thicker than the coats are.
          </p>
        )}
      </div>
    </div>
  );
}

interface BandProps {
  coat: Coat;
  wrong: Finding | undefined;
  open: boolean;
  onOpen: () => void;
}

function Band({ coat, wrong, open, onOpen }: BandProps) {
  const project = useProject();
  const say = useSay();
  const units = useView((view) => view.units);
  const said = wrong && findingIn(wrong, units).message;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: coat.id,
  });
  const material = catalogueOf(project.materials).material(coat.material);
  const name = coatName(coat, material);
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition, minHeight: bandPx(coat) }}
      className={`relative flex items-stretch border-b border-line bg-sheet ${isDragging ? 'z-10 shadow-lg' : ''} ${open ? 'outline-2 -outline-offset-2 outline-clay' : ''}`}
    >
      <button
        ref={setActivatorNodeRef}
        type="button"
        className="flex w-6 shrink-0 cursor-grab items-center justify-center text-muted hover:text-graphite"
        aria-label={`Move ${name}`}
        {...attributes}
        {...listeners}
      >
        <GripVertical size={14} aria-hidden />
      </button>
      <span aria-hidden="true" className="relative w-[72px] shrink-0 border-x border-line">
        <svg aria-hidden="true" className="absolute size-full">
          <rect width="100%" height="100%" fill={coatTexture(coat.operation)} />
        </svg>
      </span>
      <button
        type="button"
        aria-expanded={open}
        onClick={onOpen}
        className="min-w-0 flex-1 cursor-pointer px-2 py-1 text-left text-sm leading-tight hover:text-clay"
      >
        {operationWords[coat.operation].title}: {name}
        {/* The blank is for readers: the line below is part of the name. */}{' '}
        <span className="block text-xs text-muted">{coatRemark(coat, say.mm)}</span>
      </button>
      {wrong && (
        <span className="flex shrink-0 items-center pr-2 text-ochre-text" title={said}>
          <TriangleAlert size={15} aria-label={`Wants attention: ${said}`} role="img" />
        </span>
      )}
    </li>
  );
}
