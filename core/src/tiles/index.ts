export {
  type Joint,
  type Mates,
  placesOf,
  type ReadTile,
  readSet,
  type SetRead,
  type SetTile,
  type StoreyRoom,
} from './set.ts';
export { readTile, type TileRead } from './tileRead.ts';
