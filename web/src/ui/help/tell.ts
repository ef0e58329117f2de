/**
 * Help in place: one or two sentences for every field, figure and word of the trade, found by the words that stand on the screen, so that a label and its
 * help cannot drift apart unnoticed (a browser test walks every view and asks for each).
 */
import { kindWords } from '@hosket/core';
import { fieldWords, patterns } from './fieldWords.ts';
import { figureWords } from './figureWords.ts';
import { type HelpPictureId, tradeWords } from './tradeWords.ts';

export interface Told {
  /** As it is looked up and headed. */
  word: string;
  text: string;
  picture?: HelpPictureId;
}

/** Labels that carry a name of the builder's: "Tolerance of Bench 3". */
const ofNames = /^(\w+) of .+$/;
/** What stands behind a label without changing what it means. */
const tail = /(, (%|mm|[A-Z]{3}|ms|each way))|:$/;

const kinds: ReadonlyMap<string, string> = new Map(
  Object.values(kindWords).map(({ title, about }) => [title.toLowerCase(), about]),
);

/** What is told of a word, in the view it stands in; undefined where nothing is known. */
export function tellOf(label: string, view = ''): Told | undefined {
  const word = label.trim();
  const pattern = patterns.find(([form]) => form.test(word))?.[1];
  for (const plain of [pattern ?? word, word.replace(tail, ''), word.replace(ofNames, '$1')]) {
    const key = plain.toLowerCase();
    const trade = tradeWords[key];
    const text =
      fieldWords[`${view}: ${key}`] ??
      figureWords[`${view}: ${key}`] ??
      fieldWords[key] ??
      figureWords[key] ??
      trade?.text;
    const told = text ?? kinds.get(key);
    if (told) return { word, text: told, picture: trade?.picture };
  }
  return undefined;
}
