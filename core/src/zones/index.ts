export { readingsFor } from './fields.ts';
export { type Suggestion, suggestedZones } from './suggest.ts';
export {
  type Ask,
  asks,
  namedZones,
  OFF_BASE,
  type ZoneArea,
  type ZoneMap,
  type ZoneRead,
  type ZonesRead,
  zonesFor,
  zonesOf,
} from './zones.ts';
