export { readingsOf } from './fields.ts';
export { type Suggestion, suggestedZones } from './suggest.ts';
export { type Ask, asks, OFF_BASE, type ZoneMap, type ZoneRead, type ZonesRead, zonesOf } from './zones.ts';
