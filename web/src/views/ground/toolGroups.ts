import {
  hollows,
  type ItemKind,
  kindWords,
  laidThings,
  landformKinds,
  markKinds,
  rowKinds,
  standing,
} from '@hosket/core';

/** Everything that can be drawn, by what it is at the bench. */
export const toolGroups: readonly { name: string; kinds: readonly ItemKind[] }[] = [
  { name: 'Heights', kinds: markKinds },
  { name: 'Landforms', kinds: landformKinds },
  { name: 'Set in', kinds: laidThings },
  { name: 'Cover', kinds: ['patch'] },
  { name: 'Standing', kinds: standing },
  { name: 'In rows', kinds: rowKinds },
  { name: 'Hollows', kinds: hollows },
];

export const allTools: readonly ItemKind[] = toolGroups.flatMap(({ kinds }) => kinds);

/** Those in reach: what a base is most often made of, heights first. They keep their places. */
export const inReach: readonly ItemKind[] = [
  'contour',
  'spot',
  'pad',
  'mound',
  'terraces',
  'cliff',
  'way',
  'channel',
  'basin',
  'cave',
  'rock',
  'tree',
];

/** Tools by what is typed: in their names first, then in what they are said to be. */
export function toolsFor(typed: string): ItemKind[] {
  const words = typed.trim().toLowerCase();
  const name = (kind: ItemKind) => kindWords[kind].title.toLowerCase();
  const named = allTools.filter((kind) => name(kind).includes(words));
  return [
    ...named,
    ...allTools.filter((kind) => !named.includes(kind) && kindWords[kind].about.toLowerCase().includes(words)),
  ];
}

/** The kinds drawn most often have keys of their own, told where they are pressed. */
export const drawKeys: Readonly<Partial<Record<ItemKind, string>>> = {
  contour: 'Alt+C',
  spot: 'Alt+S',
  pad: 'Alt+D',
  mound: 'Alt+M',
  way: 'Alt+R',
  channel: 'Alt+B',
  rock: 'Alt+K',
  tree: 'Alt+T',
};
