import { catalogueOf, type Property, startProject } from '@hosket/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { projectNow, showProject, useProject } from '../store/projectStore.ts';
import { OwnFigure } from '../ui/OwnFigure.tsx';
import { InHouse } from './InHouse.tsx';

beforeEach(() => showProject('p', startProject('Own', '2027-03-01', 'ground')));
afterEach(cleanup);

function Figure({ material, property }: { material: string; property: Property }) {
  const figure = catalogueOf(useProject().materials).figure(material, property);
  return figure && <OwnFigure figure={figure} />;
}
const open = async () => {
  render(<Figure material="gesso" property="spreadM2PerL" />, { wrapper: InHouse });
  await userEvent.click(screen.getByRole('button', { name: /^Correct/ }));
};
const fill = async (low: string, likely: string, high: string) => {
  for (const [name, text] of Object.entries({ low, likely, high })) {
    await userEvent.clear(screen.getByLabelText(name));
    await userEvent.type(screen.getByLabelText(name), text);
  }
  await userEvent.click(screen.getByRole('button', { name: 'Count with mine' }));
};
const values = () => projectNow().materials.values;

describe('a figure of one’s own', () => {
  it('is written with its note, decimal commas too, and shown as yours', async () => {
    await open();
    await userEvent.type(screen.getByLabelText('Where it comes from'), 'three bases');
    await fill('6,5', '8', '9.5');
    expect(values()).toEqual([
      { material: 'gesso', property: 'spreadM2PerL', low: 6.5, likely: 8, high: 9.5, note: 'three bases' },
    ]);
    expect(screen.getByRole('button', { name: /^Correct/ }).textContent).toBe('yours, change');
  });

  it('keeps the shipped one beside it, which may be taken again', async () => {
    await open();
    await fill('6', '8', '9');
    await userEvent.click(screen.getByRole('button', { name: /^Correct/ }));
    expect(screen.getByText(/Shipped: 5 \/ 7 \/ 10 m2\/L/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Take it again' }));
    expect(values()).toEqual([]);
  });

  it.each([
    ['9', '8', '10', 'must rise'],
    ['a lot', '8', '10', 'three numbers'],
    ['-1', '8', '10', 'three numbers'],
    ['0', '0', '10', 'cannot be 0'],
  ])('%s / %s / %s is refused with the reason, and nothing is written', async (low, likely, high, why) => {
    await open();
    await fill(low, likely, high);
    expect(screen.getByRole('alert').textContent).toContain(why);
    expect(values()).toEqual([]);
  });
});
