import {
  type Coat,
  everywhere,
  newCoat,
  type Operation,
  operationWords,
  type Part,
  type Recipe,
} from '../project/index.ts';

/** One school of doing a part of the work. */
export interface Way {
  id: string;
  part: Part;
  name: string;
  /** When it is chosen (common practice, no source). */
  when: string;
  coats: readonly Coat[];
}

type Draft = [Operation, string, Partial<Coat>];

const way = (part: Part, id: string, name: string, when: string, ...drafts: Draft[]): Way => ({
  id,
  part,
  name,
  when,
  coats: drafts.map(([operation, material, change], k) => newCoat(`${id}-${k + 1}`, operation, material, change)),
});

const skins = [
  way('skin', 'compound', 'Compound, spread', 'Most ground: forgiving, cheap, carves while it sets.', [
    'skin',
    'compound',
    { thicknessMm: 3 },
  ]),
  way('skin', 'compound-stiff', 'Compound, stiff', 'Sculpted rock and banks.', [
    'skin',
    'compound, stiff',
    { thicknessMm: 5 },
  ]),
  way('skin', 'plaster', 'Plaster of Paris', 'Rock carved while it hardens; small bowls.', [
    'skin',
    'plaster',
    { thicknessMm: 3 },
  ]),
  way('skin', 'filler', 'Powder filler, slow', 'Smooth ground, roads; time to work.', [
    'skin',
    'filler',
    { thicknessMm: 2 },
  ]),
  way('skin', 'filler-quick', 'Powder filler, quick', 'To go on the same evening; small areas.', [
    'skin',
    'quick filler',
    { thicknessMm: 2 },
  ]),
  way('skin', 'light-filler', 'Light filler', 'Where weight decides.', ['skin', 'light filler', { thicknessMm: 3 }]),
  way('skin', 'texture', 'Texture paste', 'Thin earth with grain on well-carved foam.', [
    'skin',
    'texture paste',
    { thicknessMm: 1.5 },
  ]),
  way('skin', 'fibre', 'Joint compound with paper fibre', 'Rough earth by the tub.', [
    'skin',
    'joint compound with fibre',
    { thicknessMm: 3 },
  ]),
  way('skin', 'tissue', 'Tissue in PVA', 'Light and tough over stepped foam; steps are filled first.', [
    'skin',
    'tissue',
    { coats: 3 },
  ]),
  way('skin', 'clay', 'Air-drying clay', 'Modelled detail by hand.', [
    'skin',
    'clay',
    { thicknessMm: 4, tool: 'hand' },
  ]),
  way(
    'skin',
    'gauze',
    'Plaster gauze',
    'A shell over a hollow frame.',
    ['skin', 'gauze', { coats: 2, tool: 'hand' }],
    ['skin', 'plaster', { thicknessMm: 1 }],
  ),
  way('skin', 'coloured', 'Self-coloured compound', 'Ground that will be knocked: chips do not show.', [
    'skin',
    'compound, coloured',
    { thicknessMm: 3 },
  ]),
  way(
    'skin',
    'casts',
    'Cast rocks in plaster',
    'Faces of hard rock; the gaps between the casts are filled.',
    ['set', 'cast rock', { per100Cm2: 4, sharePercent: 70 }],
    ['skin', 'plaster', { thicknessMm: 4 }],
  ),
];

const seals = [
  way('seal', 'medium', 'Medium and black paint', 'Usual: tough, and dark in the cracks.', ['seal', 'seal coat', {}]),
  way('seal', 'gesso', 'Gesso', 'Under thin washes on white.', ['seal', 'gesso', {}]),
  way('seal', 'paste', 'Sealing paste', 'Wherever resin will touch.', ['seal', 'sealing paste', { thicknessMm: 0.5 }]),
  way('seal', 'pva', 'PVA and water', 'Cheapest, under earth and grass.', ['seal', 'PVA seal', {}]),
];

const colours = [
  way(
    'colour',
    'dark-up',
    'Dark up',
    'Rock and ruins: black first, then lighter tones dry-brushed.',
    ['paint', 'acrylic', { colour: 'black' }],
    ['dry-brush', 'dry-brush', { colour: 'dark grey to bone', coats: 4 }],
  ),
  way(
    'colour',
    'mid-and-wash',
    'Mid tone and wash',
    'Earth and stone that must not end too dark.',
    ['paint', 'acrylic', { colour: 'mid tone', coats: 2 }],
    ['dry-brush', 'dry-brush', { colour: 'light tone' }],
    ['wash', 'wash', { colour: 'dark' }],
  ),
  way(
    'colour',
    'spots-on-white',
    'Spots on white',
    'Plaster rock: thin washes in spots that run into each other, then one dark wash.',
    ['wash', 'wash', { colour: 'ochre, grey, brown, green in spots', coats: 4, sharePercent: 45, tool: 'sponge' }],
    ['wash', 'wash', { colour: 'dark, over all' }],
  ),
  way('colour', 'sprayed', 'Airbrushed', 'Even tones and soft shadows.', [
    'paint',
    'airbrushed',
    { colour: 'three tones', coats: 3, tool: 'airbrush' },
  ]),
  way('colour', 'water-bands', 'Water in bands of depth', 'Beds: light at the shore to dark in the deep.', [
    'paint',
    'water bands',
    { colour: 'sand to dark green', coats: 3 },
  ]),
];

const covers = [
  way(
    'cover',
    'soil',
    'Sifted soil, coarse then fine',
    'Bare earth; the second layer hides the first.',
    ['scatter', 'soil', { colour: 'coarse', thicknessMm: 1, sharePercent: 80 }],
    ['scatter', 'soil', { colour: 'fine', thicknessMm: 0.5, sharePercent: 90 }],
  ),
  way('cover', 'grass-one', 'Grass in one pass', 'Meadow in an evening.', [
    'grass',
    'grass 4 mm',
    { sharePercent: 80 },
  ]),
  way(
    'cover',
    'grass-layers',
    'Grass in layers',
    'Growth of several lengths: applicator, sieve, then tufts with tweezers.',
    ['grass', 'grass 2 mm', { sharePercent: 85 }],
    ['grass', 'grass 4 mm', { sharePercent: 50, tool: 'sieve' }],
    ['plant', 'tuft', { per100Cm2: 6, apartMm: 12 }],
  ),
  way(
    'cover',
    'turf',
    'Turf',
    'Short growth and weeds.',
    ['scatter', 'fine turf', { sharePercent: 80 }],
    ['scatter', 'coarse turf', { sharePercent: 20 }],
  ),
  way(
    'cover',
    'stones',
    'Stones in two sizes',
    'Scree, river beds: large ones first.',
    ['scatter', 'large stones', { thicknessMm: 6, sharePercent: 15, tool: 'hand' }],
    ['scatter', 'small stones', { thicknessMm: 2, sharePercent: 45 }],
  ),
  way('cover', 'ballast', 'Ballast', 'Roadbeds under rails.', [
    'scatter',
    'ballast',
    { thicknessMm: 4, tool: 'spoon' },
  ]),
  way('cover', 'litter', 'Leaf litter', 'Under trees.', ['scatter', 'leaf litter', { sharePercent: 70 }]),
  way('cover', 'moss', 'Moss', 'Where walls meet water or soil.', [
    'spread',
    'moss paste',
    { thicknessMm: 2, sharePercent: 60 },
  ]),
  way('cover', 'snow', 'Snow', 'Last of all.', ['spread', 'snow paste', { thicknessMm: 2.5 }]),
  way(
    'cover',
    'mud',
    'Mud',
    'Ruts and shores.',
    ['spread', 'mud paste', { thicknessMm: 1.5, sharePercent: 80 }],
    ['varnish', 'matt varnish', { sharePercent: 30 }],
  ),
];

const edges = [
  way('edge', 'edge-painted', 'Painted', 'Black sides, two coats.', [
    'paint',
    'acrylic',
    { colour: 'black', coats: 2 },
  ]),
  way(
    'edge',
    'edge-faced',
    'Faced with panels',
    'Thin panels cut to the profile of each side, then painted.',
    ['face', 'edge panel', {}],
    ['paint', 'acrylic', { colour: 'black', coats: 2 }],
  ),
  way('edge', 'walls-painted', 'Walls and backdrop painted', 'The inside of the box: sky and haze.', [
    'paint',
    'acrylic',
    { colour: 'sky', coats: 2 },
  ]),
];

/** The main schools of every part. */
export const ways: readonly Way[] = [...skins, ...seals, ...colours, ...covers, ...edges];

const partOf = (coat: Coat): Part => operationWords[coat.operation].part;

/** The coats of a recipe that belong to a part. Sides and walls are a part of their own, whatever is done there. */
export const coatsOfPart = (recipe: Recipe, part: Part): Coat[] =>
  part === 'edge' ? recipe.coats : recipe.coats.filter((coat) => partOf(coat) === part);

/** The school that a part of a recipe is done by; null where the builder made it his own. */
export const wayOf = (recipe: Recipe, part: Part): Way | null => {
  const worn = coatsOfPart(recipe, part);
  return (
    ways.find(
      (candidate) =>
        candidate.part === part &&
        candidate.coats.length === worn.length &&
        candidate.coats.every(
          ({ id: _, ...coat }, k) => JSON.stringify(coat) === JSON.stringify({ ...worn[k], id: undefined }),
        ),
    ) ?? null
  );
};

/** A recipe with a part done in another way: its coats come where the old ones were, or in the order of the work. */
export function doneIn(recipe: Recipe, { part, coats }: Pick<Way, 'part' | 'coats'>): Recipe {
  const old = new Set(coatsOfPart(recipe, part).map(({ id }) => id));
  const first = recipe.coats.findIndex(({ id }) => old.has(id));
  const kept = recipe.coats.filter(({ id }) => !old.has(id));
  const before =
    first >= 0
      ? recipe.coats.slice(0, first).filter(({ id }) => !old.has(id)).length
      : kept.filter((coat) => rank(partOf(coat)) < rank(part)).length;
  const taken = new Set(kept.map(({ id }) => id));
  const fresh = coats.map((coat) => {
    let id = coat.id;
    for (let n = 2; taken.has(id); n++) id = `${coat.id}-${n}`;
    taken.add(id);
    return { ...coat, id };
  });
  return { ...recipe, coats: [...kept.slice(0, before), ...fresh, ...kept.slice(before)] };
}

const rank = (part: Part) => ['skin', 'seal', 'colour', 'cover', 'edge'].indexOf(part);

const madeOf = (id: string, name: string, note: string, roughness: number, ...wanted: string[]): Recipe => {
  const chosen = wanted.map((one) => ways.find((candidate) => candidate.id === one));
  const coats = chosen.flatMap((one) => one?.coats ?? []);
  return { id, name, note, roughness, coats: coats.map((coat) => ({ ...coat, when: everywhere() })) };
};

/** Recipes to begin with, whole. */
export const shippedRecipes: readonly Recipe[] = [
  madeOf('rock', 'Rock face', 'Sculpted, sealed, black to bone.', 1.7, 'compound-stiff', 'medium', 'dark-up'),
  madeOf('cast-rock', 'Cast rock', 'Casts set in plaster, spots on white.', 1.7, 'casts', 'gesso', 'spots-on-white'),
  madeOf('meadow', 'Meadow', 'Earth under grass in layers.', 1.3, 'compound', 'medium', 'mid-and-wash', 'grass-layers'),
  madeOf(
    'bare-earth',
    'Bare earth',
    'Texture paste and sifted soil.',
    1.3,
    'texture',
    'medium',
    'mid-and-wash',
    'soil',
  ),
  madeOf('scree', 'Scree', 'Stones in two sizes.', 1.5, 'compound', 'medium', 'mid-and-wash', 'stones'),
  madeOf('road', 'Road', 'Smooth filler, washed.', 1.05, 'filler', 'medium', 'mid-and-wash'),
  madeOf('mud', 'Mud', 'Wet and rutted.', 1.3, 'compound', 'medium', 'mid-and-wash', 'mud'),
  madeOf('moss', 'Moss', 'Damp feet of walls.', 1.5, 'compound', 'medium', 'mid-and-wash', 'moss'),
  madeOf('litter', 'Leaf litter', 'Woodland floor.', 1.3, 'compound', 'pva', 'mid-and-wash', 'soil', 'litter'),
  madeOf('bed', 'Water bed', 'Closed against resin, painted by depth.', 1.1, 'filler', 'paste', 'water-bands'),
  madeOf('snow', 'Snow', 'Over painted earth.', 1.1, 'compound', 'medium', 'mid-and-wash', 'snow'),
  madeOf(
    'track',
    'Roadbed with ballast',
    'Flat, sealed, ballasted.',
    1.05,
    'filler',
    'medium',
    'mid-and-wash',
    'ballast',
  ),
  madeOf('sides-black', 'Sides painted black', '', 1.05, 'edge-painted'),
  madeOf('sides-faced', 'Sides faced with panels', '', 1, 'edge-faced'),
  madeOf('walls-sky', 'Walls and backdrop painted', '', 1.05, 'walls-painted'),
];
