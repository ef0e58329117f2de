export { type Suggestion, suggestedZones } from './suggest.ts';
export { type ZoneMap, type ZoneRead, type ZonesRead, zonesOf } from './zones.ts';
