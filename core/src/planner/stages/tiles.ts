import { groundOf } from '../../ground/index.ts';
import { evenSkin, groundOver } from '../../layers/index.ts';
import { drawnAlike, openAsClosed, profilesAlike, skinMmOf } from '../../project/index.ts';
import { readSet, readTile, type TileRead } from '../../tiles/index.ts';
import { builtFinished } from '../builtFinished.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';

/** How the open tile ends at its sides. */
const openTile = stage({
  name: 'open tile',
  needs: { ground },
  run: ({ input: { project }, needs }) => readTile(project, openAsClosed(project), needs.ground),
  lags: () => true,
});

/** How another tile of the set ends at its sides, by a ground of its own. */
const closedTile = (id: string) =>
  stage({
    name: `tile ${id}`,
    needs: {},
    *run({ input: { project, cell } }) {
      const closed = project.tiles.find((tile) => tile.id === id);
      if (!closed) throw new Error(`There is no tile ${id}`);
      const { heights } = project;
      const skinMm = () => skinMmOf(project);
      const profiles = profilesAlike(heights, project.profiles, skinMm);
      const shape = { ...drawnAlike(heights, closed, skinMm), tile: closed, profiles };
      const surface = yield* groundOf(shape, cell(shape.base));
      if (heights === 'ground') return readTile(project, closed, surface);
      const foam = builtFinished(surface, skinMm());
      return readTile(project, closed, yield* groundOver(foam, evenSkin(skinMm()), { ...closed, heights }));
    },
  });

/** How the tiles of the set meet. */
export const set = stage({
  name: 'set of tiles',
  needs: {},
  *run({ input: { project }, ask }) {
    const reads = new Map<string, TileRead>();
    if (project.tiles.length) {
      reads.set(project.tile.id, yield* ask(openTile));
      for (const { id } of project.tiles) reads.set(id, yield* ask(closedTile(id)));
    }
    return readSet(project, reads);
  },
});
