/** What things weigh that stand on the ground, g: by kind and size, where the builder has not weighed them. Common practice, no source. */

import { footAreaMm2, type Thing } from '../project/index.ts';
import { exactly, power, type Range, scaleRange, sum } from '../units/index.ts';

/** A person of 1750 mm has 70 litres. */
const PERSON_MM = 1750;
const PERSON_ML = 70_000;
/** Plastic, cast resin, white metal, g/ml. */
const FIGURE: Range = { low: 1.05, likely: 1.2, high: 7.3 };
/** A figure's base: plastic of so much height at most, less on small ones. */
const BASE: Range = { low: 0.9, likely: 1.05, high: 1.2 };
const BASE_MM = 3;
/** Foliage on its twigs, g/ml of crown; trunk and wire, g for each mm of height of a tree 100 mm high, more for taller ones by the square. */
const CROWN: Range = { low: 0.01, likely: 0.02, high: 0.05 };
const TRUNK: Range = { low: 0.02, likely: 0.05, high: 0.1 };
/** A kit of thin walls, g/ml of the room that it takes; a vehicle, of plastic or cast; and anything else. */
const KIT: Range = { low: 0.05, likely: 0.12, high: 0.3 };
const VEHICLE: Range = { low: 0.15, likely: 0.35, high: 1.5 };
const OTHER: Range = { low: 0.1, likely: 0.3, high: 0.9 };

/** The room over what a thing covers, ml. */
const room = (thing: Thing, heightMm: number): number => (footAreaMm2(thing) * heightMm) / 1000;

/** The mass of one thing, g: as the builder weighed it, else a figure's body and base, a tree's crown and trunk, a vehicle, thin walls, or whatever fills its room. */
export function massOfThing(thing: Thing): Range {
  const { kind, footMm, heightMm, crownMm, massG } = thing;
  if (massG != null) return exactly(massG);
  switch (kind) {
    case 'figure': {
      const baseMm = Math.min(BASE_MM, heightMm / 10);
      const body = scaleRange(FIGURE, PERSON_ML * power((heightMm - baseMm) / PERSON_MM, 3));
      return sum([body, scaleRange(BASE, room(thing, baseMm))]);
    }
    case 'tree': {
      // An ellipsoid over the upper two thirds.
      const crown = ((Math.PI / 6) * (crownMm ?? footMm) ** 2 * ((2 / 3) * heightMm)) / 1000;
      return sum([scaleRange(CROWN, crown), scaleRange(TRUNK, heightMm ** 2 / 100)]);
    }
    case 'vehicle':
      return scaleRange(VEHICLE, room(thing, heightMm));
    case 'held':
      return scaleRange(KIT, room(thing, heightMm));
    case 'stood':
      return scaleRange(OTHER, room(thing, heightMm));
  }
}
