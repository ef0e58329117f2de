import type { Catalogue } from './catalogue.ts';

/** Ways of using paint that come out of a bottle of another name. */
const bottles: Readonly<Record<string, string>> = {
  wash: 'acrylic',
  'pin wash': 'acrylic',
  glaze: 'acrylic',
  'dry-brush': 'acrylic',
  stipple: 'acrylic',
  airbrushed: 'acrylic',
  'water bands': 'acrylic',
  'oil wash': 'oil paint',
};

/** The material that is to be had for a coat: a wash comes out of a bottle of paint. */
export const boughtAs = (material: string): string => bottles[material] ?? material;

/** A part of what a paint is thinned with; `material` is null for water from the tap. */
export interface ThinnerPart {
  material: string | null;
  name: string;
  share: number;
}

/** Of the thinning of a wash, the part that is medium, so that its pigment holds (common practice, no source). */
const MEDIUM_SHARE = 0.25;

/** What a paint is thinned with: solvent paint with thinner, washes with water and medium, all else with water. */
export function thinningOf(catalogue: Catalogue, material: string): ThinnerPart[] {
  const facts = catalogue.material(material)?.facts ?? [];
  if (facts.includes('solvent')) return [{ material: 'thinner', name: 'Thinner', share: 1 }];
  if (!facts.includes('spreads thinned')) return [{ material: null, name: 'Water to thin it', share: 1 }];
  return [
    { material: null, name: 'Water to thin it', share: 1 - MEDIUM_SHARE },
    { material: 'matt medium', name: 'Matt medium to thin it', share: MEDIUM_SHARE },
  ];
}
