/** The words of the trade, and of this program, as a builder who has never heard them would like them told. */
export type HelpPictureId =
  | 'stack'
  | 'contour'
  | 'kerf'
  | 'joint'
  | 'seam'
  | 'sliver'
  | 'hollow'
  | 'carve'
  | 'skin'
  | 'coats'
  | 'feather'
  | 'bank'
  | 'repose'
  | 'give'
  | 'footprint'
  | 'overlap'
  | 'crossfall';

export const tradeWords: Readonly<Record<string, { text: string; picture?: HelpPictureId }>> = {
  'bare foam': {
    text: 'The foam alone, before anything is put on it. Skin, cover and gravel stand on top of that.',
    picture: 'skin',
  },
  finished: {
    text: 'As it will stand when everything is on: foam, skin and cover together, measured from the top of the baseboard.',
    picture: 'skin',
  },
  layer: {
    text: 'One sheet of the stack, from edge to edge of the ground. Counted from the board up.',
    picture: 'stack',
  },
  level: {
    text: 'A height that you asked for: a pad, a terrace, a road at one height. A stack is good when levels fall on joints.',
    picture: 'joint',
  },
  joint: {
    text: 'Where two sheets of the stack meet. A flat that lies on a joint needs neither carving nor filling.',
    picture: 'joint',
  },
  seam: {
    text: 'Where two pieces of one layer meet, side by side. Seams of layers above one another should not lie over each other.',
    picture: 'seam',
  },
  kerf: { text: 'What a wire, blade or saw takes away: the width of its cut.', picture: 'kerf' },
  sliver: { text: 'A piece or a strip so narrow that it breaks or melts before it is glued.', picture: 'sliver' },
  offcut: { text: 'What is left of a sheet and is large enough to be kept for another piece.' },
  neck: { text: 'The narrowest place of a piece: where it breaks when it is lifted.' },
  contour: { text: 'A line along which the ground has one height, as on a map.', picture: 'contour' },
  spot: { text: 'One point whose height is known; the ground passes through it.' },
  pad: {
    text: 'A flat of a height you choose, for a house or a figure, with banks down to the land around it.',
    picture: 'bank',
  },
  bank: { text: 'The slope from a made flat, way or pool to the land beside it.', picture: 'bank' },
  'angle of repose': {
    text: 'The steepest slope that loose stuff holds by itself, in degrees. A heap stands at it.',
    picture: 'repose',
  },
  crossfall: {
    text: 'How much one side of a way lies higher than the other, so that water runs off.',
    picture: 'crossfall',
  },
  give: {
    text: 'How far a height may be moved if that puts it on a joint. With give, a stack needs fewer layers and less filling.',
    picture: 'give',
  },
  carve: { text: 'To cut foam away down to the ground line, where the stack stands over it.', picture: 'carve' },
  fill: { text: 'To build up with paste to the ground line, where the stack stays under it.', picture: 'carve' },
  'way of building': {
    text: 'How the stack is made out of your sheets: fewest layers, least carving, whole sheets, and so on. Each is worked out; you choose.',
  },
  hollow: {
    text: 'Room left in the foam: to save sheets and weight, or for cables, lamps and batteries.',
    picture: 'hollow',
  },
  skin: {
    text: 'The hard coat of plaster or paste over foam. It hides joints, carries stones and colour, and keeps solvent away from foam.',
    picture: 'skin',
  },
  seal: {
    text: 'A thin coat that binds dust and closes pores, so that paint and glue do not sink in and water does not get out.',
    picture: 'coats',
  },
  cover: { text: 'What a piece of ground wears on top: grass, gravel, mud, snow, a paved way.', picture: 'coats' },
  recipe: {
    text: 'The coats that a zone gets, from the foam up: skin, seal, colour, cover, and with what each is made.',
    picture: 'coats',
  },
  coat: { text: 'One time over with one stuff. Most have to dry before the next.', picture: 'coats' },
  zone: {
    text: 'A part of the ground with one recipe: found by a rule (how steep, how high, how near a way) or drawn.',
  },
  'dry-brush': { text: 'Nearly all paint is wiped out of the brush; what is left catches high edges only.' },
  wash: { text: 'Thin dark colour that runs into hollows and stays there.' },
  'static grass': { text: 'Fibres charged by an applicator so that they stand up in wet glue.' },
  sitting: { text: 'One time at the bench: what is done before something has to dry.' },
  'hands-on': { text: 'Time that you work. Waiting for something to dry is not counted.' },
  'dry through': { text: 'Dry to the bottom, not only to the touch: what comes next can no longer spoil it.' },
  'bench air': { text: 'Warmth, damp and draught where you work. They decide how long everything takes to dry.' },
  feather: {
    text: 'To let the cover of one zone run out thin into the next, so that no edge shows.',
    picture: 'feather',
  },
  'overlap under the layer above': {
    text: 'How far a ring reaches in under the layer that stands on it, for glue to hold.',
    picture: 'overlap',
  },
  footprint: { text: 'The shape under a thing, where it touches the ground.', picture: 'footprint' },
  baseboard: { text: 'The board everything stands on. Heights are counted from its top.' },
  rebate: { text: 'A step cut along the edge of a board or frame in which something lies.' },
  batten: { text: 'A strip under a board that stiffens it and lets air to its underside.' },
  section: {
    text: 'The build cut through along a line: sheets, joints, what to carve, what to fill, what lies on top.',
    picture: 'stack',
  },
  scale: { text: 'How many times smaller than the real thing: at 1:72, one metre is 13.9 mm.' },
  gradient: { text: 'How steep a way is: 1 in 20 rises one millimetre in twenty; 5 % is the same.' },
  stop: { text: 'A finding that has to be mended before the work can go on, or be ignored with a note of why.' },
  wedge: { text: 'A strip of foam cut slanting, for a slope between two layers.' },
  'upright part': { text: 'A piece of sheet that stands on edge: a cliff, a wall, a backdrop.' },
  template: { text: 'A drawing at full size to lay on the sheet and cut along.' },
  tile: { text: 'One of several bases that belong together and meet at their edges.' },
  'test piece': {
    text: 'A small square built first, in the same sheets and coats, to see colour, hold and drying before the real one.',
  },
  waste: { text: 'What is bought or mixed and does not end up on the build: cut away, left in the bowl, swept up.' },
  yield: { text: 'The share of a sheet that becomes pieces.' },
  range: {
    text: 'No amount is known exactly. The first number is the likely one; the two after it are low and high: nine times in ten it ends between them.',
  },
};
