import { type Finding, newCoat, startProject } from '@hosket/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { projectNow, showProject } from '../store/projectStore.ts';
import { FindingItem } from './FindingItem.tsx';

const start = startProject('Own', '2027-03-01', 'ground');
const [recipe] = start.recipes;
const coats = ['a', 'b', 'c'].map((id) => newCoat(id, 'paint', 'acrylic'));
const finding: Finding = {
  code: 'grass-after-stones',
  severity: 'warn',
  band: 'surface',
  place: recipe.name,
  message: 'Grass comes after stones.',
  remedy: 'Grass first.',
  reason: 'Stones are tipped off.',
  mend: { recipe: recipe.id, coat: 'c', to: 0 },
};
const show = (change: Partial<Finding> = {}) =>
  render(
    <MemoryRouter>
      <ul>
        <FindingItem finding={{ ...finding, ...change }} />
      </ul>
    </MemoryRouter>,
  );

beforeEach(() => showProject('p', { ...start, recipes: [{ ...recipe, coats }] }));
afterEach(cleanup);

describe('a finding', () => {
  it('says what, why and what to do; its button moves the coat', async () => {
    show();
    expect(screen.getByRole('listitem').textContent).toContain(
      'Wants attention: Grass comes after stones. Grass first.Why: Stones are tipped off.',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Move it there' }));
    expect(projectNow().recipes[0].coats.map(({ id }) => id)).toEqual(['c', 'a', 'b']);
  });

  it('is ignored with a note only', async () => {
    show();
    await userEvent.click(screen.getByRole('button', { name: /^Ignore/ }));
    await userEvent.type(screen.getByLabelText('Why you mean it so'), '   ');
    await userEvent.click(screen.getByRole('button', { name: 'Keep the note' }));
    expect(projectNow().overruled).toEqual([]);
    await userEvent.type(screen.getByLabelText('Why you mean it so'), 'glued down');
    await userEvent.click(screen.getByRole('button', { name: 'Keep the note' }));
    expect(projectNow().overruled).toEqual([{ code: finding.code, place: recipe.name, note: 'glued down' }]);
  });

  it('ignored, it says why and may count again; nothing is mended then', async () => {
    showProject('p', { ...start, overruled: [{ code: finding.code, place: recipe.name, note: 'so' }] });
    show({ overruled: 'so' });
    expect(screen.getByText('Your note: so')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Move it there' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /^Let it count again/ }));
    expect(projectNow().overruled).toEqual([]);
  });

  it('what stops the work cannot be ignored', () => {
    show({ severity: 'stop', mend: undefined });
    expect(screen.queryByRole('button', { name: /Ignore/ })).toBeNull();
  });
});
