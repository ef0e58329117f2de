/** Files of other kinds, read and written: plans and grids of heights. Nothing here knows a screen. */

export { readBackup, writeBackup } from './backup.ts';
export { groundBody, stackBodies } from './bodies.ts';
export { boxOfDrawing, type HeightGrid, type PlanDrawing } from './drawing.ts';
export { readDxf } from './dxf.ts';
export { readGeoJson } from './geojson.ts';
export { readAsciiGrid, readGeoTiff, readGreyPng, terrainOf } from './grids.ts';
export {
  type Becoming,
  becomings,
  guess,
  type HeightFrom,
  type LayerMapping,
  layersOf,
  type PlanMapping,
  takeIn,
} from './mapping.ts';
export { readMaterialsCsv, writeMaterialsCsv } from './materialsCsv.ts';
export { pictureSize } from './picture.ts';
export { sheetDxf, sheetSvg } from './sheetFiles.ts';
export { writeShoppingCsv } from './shoppingCsv.ts';
export { type Solid, writeStl } from './solids.ts';
export { readSvg } from './svg.ts';
export { writeThreeMf, zipFiles } from './threeMf.ts';
export { writeAsciiGrid, writeDxf, writeGeoJson, writeGeoTiff } from './write.ts';
