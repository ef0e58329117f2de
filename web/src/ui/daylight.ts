/**
 * The colours of drawings that look the same in either theme: what is drawn on the plan lies on relief, which is lit as on a workbench by
 * day, and the model has materials of its own. The first ones are those of the light theme (styles.css); a test compares them.
 */
export const daylight = {
  sheet: '#fcfbf8',
  graphite: '#22272b',
  clay: '#a8452b',
  water: '#2c6278',
  moss: '#566b3a',
  plum: '#7a2e52',
  deepWater: '#1d4658',
  sand: '#e9d9b8',
  stone: '#5b5f5f',
} as const;

/** What bodies of the model are made of, and how they are lit. */
export const modelColours = {
  board: '#8d8271',
  bridge: '#8d8271',
  ground: '#e2d6bf',
  skirt: '#c9bea8',
  foamEven: '#ddd8cf',
  foamOdd: '#bcb5a7',
  foamPicked: '#c4826c',
  water: daylight.water,
  house: '#b0705a',
  block: '#77736b',
  cable: daylight.clay,
  hollow: '#6d6a78',
  held: '#8c9aa3',
  figure: '#8d8271',
  trunk: '#6b5a47',
  crown: daylight.moss,
  sun: '#fff6e4',
  sky: '#cfd6dc',
  nightRoom: '#1d2124',
  dayRoom: '#f3f0e9',
} as const;
