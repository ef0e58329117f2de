import type { Catalogue, Fact } from '../materials/index.ts';
import type { CutTool, Operation, Tool } from '../project/index.ts';

/** What every caution ends with. */
export const deferral =
  'Follow the maker’s safety sheet and your local rules; wiring and mains are for a licensed person. Children with an adult.';

const byCutTool: Readonly<Record<CutTool, string>> = {
  knife: 'Fresh blade, metal rule, many light passes, cut away from the holding hand.',
  'hot wire':
    'The coolest wire that cuts, outdoors or extracted, with an organic-vapour mask (a dust mask alone does nothing): fumes of melting foam are harmful. Smoke means too hot. No alcohol, spray or other flame near.',
  'fine saw': 'Clamp the sheet, hand behind the blade, dust mask.',
};

const byTool: Partial<Record<Tool, string>> = {
  airbrush: 'Even water paint is harmful as mist: filter mask and extraction.',
  'spray can': 'Outdoors or extracted, no flame or spark, mask with organic-vapour filter.',
};

const byFact: Partial<Record<Fact, string>> = {
  flammable: 'Flammable: no flame, hot wire, heat gun or applicator spark until it has dried off and aired.',
  solvent: 'Solvent: outdoors or extracted, gloves; never on bare foam.',
  alkaline: 'Alkaline when wet: gloves and goggles, rinse long; burns appear late.',
};

/** Cautions for cutting foam with a tool. */
export const cuttingCautions = (tool: CutTool): string[] => [byCutTool[tool]];

export const carvingCautions = (): string[] => [
  'Dust mask when rasping or sanding, with suction; blades away from the hand.',
  'Hot wire, heat gun and torch only outdoors or extracted, with an organic-vapour mask; a torch on foam is best not used at all.',
];

export const wiringCautions = (): string[] => [
  'Low voltage only: insulate joints, fuse or limit the current, keep batteries reachable and out of foam and resin. No mains inside the scene: that is for a licensed person.',
];

/** Loose stuff fine enough to be breathed in. */
const fineDust: readonly string[] = ['grout', 'fine sand', 'soil', 'dyed sawdust', 'snow powder', 'weathering powder'];

/** Cautions for what a material is made of and how it keeps (common practice, no source; the maker's sheet wins). */
function natureCautions(catalogue: Catalogue, id: string): string[] {
  const known = catalogue.material(id);
  if (!known) return [];
  const powder = catalogue.figure(id, 'yieldLPerKg') !== null;
  const readyWet = !powder && known.facts.includes('water-based') && (known.form === 'paste' || known.form === 'thin');
  return [
    ...(powder
      ? [
          'Dry powder: mask against fine dust (P2 or better) when it is poured, mixed and sanded; it may hold crystalline silica.',
          'Never dry it hotter than 40 to 50 °C: set plaster turns back to powder. It must not freeze before it is dry.',
        ]
      : []),
    ...(fineDust.includes(id)
      ? [
          'Fine dust: mask (P2 or better) when it is sifted, strewn and brushed; sand and grout may hold crystalline silica.',
        ]
      : []),
    ...(readyWet ? ['Frost spoils it in its pot and on the work.'] : []),
  ];
}

/** Cautions that go with materials: what each says of itself, and what its nature asks for. */
export function materialCautions(catalogue: Catalogue, ids: readonly string[]): string[] {
  const said = ids.flatMap((id) => {
    const known = catalogue.material(id);
    if (!known) return [];
    return [
      ...(known.caution ? [known.caution] : []),
      ...known.facts.flatMap((fact) => byFact[fact] ?? []),
      ...natureCautions(catalogue, id),
    ];
  });
  return [...new Set(said)];
}

/** Cautions of a coat: its materials, and the tool it goes on with. */
export function coatCautions(
  catalogue: Catalogue,
  { tool, operation }: { tool: Tool; operation: Operation },
  ids: readonly string[],
): string[] {
  const hands = tool === 'hand' && ids.some((id) => catalogue.material(id)?.facts.includes('sets'));
  return [
    ...new Set([
      ...materialCautions(catalogue, ids),
      ...(byTool[tool] ? [byTool[tool]] : []),
      ...(hands
        ? ['Gloves: plaster and its dust dry and burn the skin; never let it set round a hand or finger.']
        : []),
      ...(operation === 'face' ? ['Saw or cut panels clamped down; dust mask for fibreboard.'] : []),
    ]),
  ];
}
