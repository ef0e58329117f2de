import { type ItemKind, kindWords } from '@hosket/core';
import { describe, expect, it } from 'vitest';
import { allTools, inReach, toolsFor } from './toolGroups.ts';

describe('tools', () => {
  it('are found by their names first, then by what they are said to be', () => {
    expect(toolsFor('pit')[0]).toBe('pit');
    expect(toolsFor('sleepers')).toContain('track' satisfies ItemKind);
    expect(toolsFor('no such thing')).toEqual([]);
  });

  it('each kind stands once among all, those in reach among them', () => {
    expect(new Set(allTools).size).toBe(Object.keys(kindWords).length);
    expect(inReach.every((kind) => allTools.includes(kind))).toBe(true);
  });
});
