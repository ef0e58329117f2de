import {
  addTile,
  baseSize,
  changeTile,
  fieldLimits,
  openTile,
  type Project,
  removeTile,
  type Tile,
  type TileSide,
  tileSides,
  tilesOf,
  turns,
} from '@hosket/core';
import { Plus, Trash2 } from 'lucide-react';
import { SetDrawing } from '../../instruments/paper/SetDrawing.tsx';
import { edit } from '../../store/projectStore.ts';
import { pickItem } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, NumberField, TickField, WordsField } from '../../ui/Field.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { Legend } from '../../ui/Legend.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { ProfileFields } from './ProfileFields.tsx';

const set = (id: string, by: Partial<Omit<Tile, 'id'>>) => edit((p) => changeTile(p, id, by));

/** Tiles of a set: which lies open, where each stands, which profiles its sides wear, and whether neighbours meet. */
export function SetFields({ project }: { project: Project }) {
  const report = usePlan((state) => state.report);
  const { tile } = project;
  const open = (id: string) => {
    pickItem(null);
    edit((p) => openTile(p, id));
  };
  const add = (bare: boolean) => edit((p) => addTile(p, bare).project);
  return (
    <section aria-label="Tiles and storeys" className="my-5">
      <h2 className="mb-1 text-base">
        <Word>Tiles and storeys</Word>
      </h2>
      <p className="mb-2 text-sm text-muted">
        {project.tiles.length
          ? 'Everything drawn belongs to the open tile. Sides with the same profile meet, whichever tiles they belong to.'
          : 'One piece. Add a tile to make a set whose edges meet, or a storey above it.'}
      </p>
      <div className="grid grid-cols-2 gap-x-8 gap-y-3 max-[999px]:grid-cols-1">
        <div>
          {report && project.tiles.length > 0 && <SetDrawing set={report.set} openId={tile.id} onOpen={open} />}
          <ul aria-label="Tiles" className="mt-2 text-sm">
            {tilesOf(project).map(({ id, name, place, base }) => (
              <li key={id} className="flex items-center gap-2 border-b border-line py-1">
                <span className="min-w-0 flex-1">
                  {name}
                  <span className="text-xs text-muted">
                    {' '}
                    {Math.round(baseSize(base).widthMm)} × {Math.round(baseSize(base).depthMm)} mm
                    {place ? '' : ', set aside'}
                    {place?.riseMm ? `, raised ${place.riseMm} mm` : ''}
                  </span>
                </span>
                {id === tile.id ? (
                  <span className="text-xs font-semibold text-clay">open</span>
                ) : (
                  <>
                    <Button aria-label={`Open ${name}`} onClick={() => open(id)}>
                      Open
                    </Button>
                    <Button tone="quiet" aria-label={`Remove ${name}`} onClick={() => edit((p) => removeTile(p, id))}>
                      <Trash2 size={14} aria-hidden />
                    </Button>
                  </>
                )}
              </li>
            ))}
          </ul>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => add(true)}>
              <Plus size={14} aria-hidden /> Add a bare tile
            </Button>
            <Button onClick={() => add(false)}>Add a copy of {tile.name}</Button>
          </div>
          {report && <Mates mates={report.set.mates} project={project} />}
        </div>
        <div>
          <TileFields project={project} />
          <ProfileFields project={project} />
        </div>
      </div>
    </section>
  );
}

function TileFields({ project }: { project: Project }) {
  const { tile, profiles } = project;
  const { place } = tile;
  const put = (by: Partial<NonNullable<Tile['place']>>) => place && set(tile.id, { place: { ...place, ...by } });
  return (
    <fieldset className="grid grid-cols-4 content-start gap-2">
      <Legend under>Open tile</Legend>
      <div className="col-span-2">
        <WordsField label="Name of the tile" required value={tile.name} onValue={(name) => set(tile.id, { name })} />
      </div>
      <div className="col-span-2 self-end">
        <TickField
          label="Stands in the set"
          value={place !== null}
          onValue={(there) => set(tile.id, { place: there ? { column: 0, row: 0, turn: 0, riseMm: 0 } : null })}
        />
      </div>
      {place && (
        <>
          <NumberField
            label="Column"
            whole
            value={place.column + 1}
            least={1}
            most={31}
            onValue={(column) => put({ column: column - 1 })}
          />
          <NumberField
            label="Row"
            whole
            value={place.row + 1}
            least={1}
            most={31}
            onValue={(row) => put({ row: row - 1 })}
          />
          <ChoiceField
            label="Turned"
            value={String(place.turn)}
            options={turns.map((turn) => ({ value: String(turn), text: `${turn}°` }))}
            onValue={(turn) => put({ turn: turns.find((other) => String(other) === turn) ?? 0 })}
          />
          <MeasureField
            label="Raised by"
            value={place.riseMm}
            {...fieldLimits('tile.place.riseMm')}
            onValue={(riseMm) => put({ riseMm })}
          />
        </>
      )}
      {tileSides.map((side) => (
        <Worn key={side} tile={tile} side={side} profiles={profiles} />
      ))}
      <div className="col-span-2">
        <MeasureField
          label="Kept on the profile, in from the edge"
          value={tile.keepMm}
          {...fieldLimits('tile.keepMm')}
          onValue={(keepMm) => set(tile.id, { keepMm })}
        />
      </div>
      <div className="col-span-2">
        <NumberField
          label="Banks beyond that"
          unit="°"
          value={tile.bankDegrees}
          {...fieldLimits('tile.bankDegrees')}
          onValue={(bankDegrees) => set(tile.id, { bankDegrees })}
        />
      </div>
    </fieldset>
  );
}

/** The profile that a side wears. */
function Worn({ tile, side, profiles }: { tile: Tile; side: TileSide; profiles: Project['profiles'] }) {
  const worn = tile.sides[side];
  const wear = (next: Tile['sides'][TileSide]) => set(tile.id, { sides: { ...tile.sides, [side]: next } });
  return (
    <div className="col-span-2 flex items-end gap-2">
      <div className="min-w-0 flex-1">
        <ChoiceField
          label={`Profile of its ${side}`}
          value={worn?.profileId ?? ''}
          options={[{ value: '', text: 'no profile' }, ...profiles.map(({ id, name }) => ({ value: id, text: name }))]}
          onValue={(profileId) => wear(profileId ? { profileId, flipped: worn?.flipped ?? false } : null)}
        />
      </div>
      {worn && <TickField label="turned" value={worn.flipped} onValue={(flipped) => wear({ ...worn, flipped })} />}
    </div>
  );
}

/** For each side of the open tile, the sides of the other tiles whose heights agree with it. */
function Mates({
  mates,
  project,
}: {
  mates: { id: string; side: TileSide; with: { id: string; side: TileSide }[] }[];
  project: Project;
}) {
  const named = new Map(tilesOf(project).map(({ id, name }) => [id, name]));
  const own = mates.filter(({ id, with: others }) => id === project.tile.id && others.length);
  if (!project.tiles.length) return null;
  return (
    <div className="mt-3 text-sm">
      <h3 className="text-xs text-muted">What goes beside {project.tile.name}</h3>
      {own.length === 0 && <p>No side of another tile meets one of its sides yet.</p>}
      <ul>
        {own.map(({ side, with: others }) => (
          <li key={side}>
            at its {side}: {others.map((other) => `${named.get(other.id)}, ${other.side}`).join('; ')}
          </li>
        ))}
      </ul>
    </div>
  );
}
