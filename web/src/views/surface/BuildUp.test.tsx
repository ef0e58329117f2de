import { type Finding, newCoat, type Recipe } from '@hosket/core';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { opened } from '../../testing/opened.ts';
import { BuildUp } from './BuildUp.tsx';

const start: Recipe = {
  id: 'r',
  name: 'Bank',
  note: '',
  roughness: 1.2,
  coats: [
    newCoat('skin', 'skin', 'compound', { thicknessMm: 4 }),
    newCoat('stones', 'scatter', 'small stones'),
    newCoat('grass', 'grass', 'grass 4 mm', { sharePercent: 60 }),
  ],
};
const wrong: Finding = {
  code: 'grass-after-stones',
  severity: 'warn',
  band: 'surface',
  place: 'Bank',
  message: 'Grass comes after stones.',
  remedy: 'Grass first.',
  coat: { recipe: 'r', coat: 'grass' },
};

function Shown({ findings }: { findings: readonly Finding[] }) {
  const [recipe, setRecipe] = useState(start);
  return (
    <MemoryRouter>
      <BuildUp
        recipe={recipe}
        findings={findings}
        onMove={() => {}}
        onCoat={(id, change) =>
          setRecipe({ ...recipe, coats: recipe.coats.map((coat) => (coat.id === id ? { ...coat, ...change } : coat)) })
        }
        onRecipe={setRecipe}
      />
    </MemoryRouter>
  );
}
const bands = () =>
  within(screen.getByRole('list', { name: 'Build-up of Bank, from the top down' }))
    .getAllByRole('listitem')
    .map((band) => band.textContent?.trim() ?? '');

let stop = () => {};
beforeEach(() => {
  stop = opened();
});
afterEach(() => {
  cleanup();
  stop();
});

describe('a recipe as what it builds up', () => {
  it('the last coat on top, each with its material and what is said of it', () => {
    render(<Shown findings={[]} />);
    expect(bands()).toEqual([
      'Grass: static grass, 4 mm 60 % of it',
      'Scatter: stones, small',
      'Skin: cellulose-plaster compound 4 mm',
    ]);
  });

  it('a coat that stands wrong is marked on its band; opened, it says why and what to do', async () => {
    render(<Shown findings={[wrong]} />);
    const marks = screen.getAllByRole('img', { name: /^Wants attention/ });
    expect(marks).toHaveLength(1);
    await userEvent.click(screen.getByRole('button', { name: /^Grass:/ }));
    expect(screen.getByRole('list', { name: 'Findings of this coat' }).textContent).toContain('Grass first.');
    await userEvent.click(screen.getByRole('button', { name: /^Skin:/ }));
    expect(screen.queryByRole('list', { name: 'Findings of this coat' })).toBeNull();
  });

  it('a note marks nothing', () => {
    render(<Shown findings={[{ ...wrong, severity: 'note' }]} />);
    expect(screen.queryByRole('img', { name: /^Wants attention/ })).toBeNull();
  });

  it('a coat is added on top, changed and taken out again', async () => {
    render(<Shown findings={[]} />);
    await userEvent.click(screen.getByRole('button', { name: 'Add a coat on top' }));
    expect(bands()[0]).toBe('Paint: acrylic paint, brushed');
    await userEvent.selectOptions(screen.getByLabelText('Operation'), 'varnish');
    await userEvent.selectOptions(screen.getByLabelText('Material'), 'matt varnish');
    expect(bands()[0]).toBe('Varnish: matt varnish, brushed');
    await userEvent.click(screen.getByRole('button', { name: 'Take this coat out' }));
    expect(bands()).toHaveLength(3);
  });
});
