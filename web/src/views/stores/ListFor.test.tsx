import { addTile } from '@hosket/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { showProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { smallProject } from '../../testing/opened.ts';
import { useSetList } from '../../worker/setStore.ts';
import { ListFor } from './ListFor.tsx';

const quiet = { list: null, of: null, progress: null, failed: null };
beforeEach(() => {
  useSetList.setState(quiet);
  useView.setState({ listFor: 'set' });
});
afterEach(cleanup);

describe('which tiles the list is for', () => {
  it('a piece of one tile is not asked', () => {
    showProject('p', smallProject());
    const { container } = render(<ListFor />);
    expect(container.textContent).toBe('');
  });

  it('the set, with the tile that is being worked out, or one tile only', async () => {
    showProject('p', addTile(smallProject(), false).project);
    useSetList.setState({ progress: { at: 2, of: 2, name: 'Tile 2' } });
    render(<ListFor />);
    expect(screen.getByRole('status').textContent).toBe('Working out Tile 2, tile 2 of 2…');
    expect(screen.getByRole('option', { name: 'the whole set, 2 tiles' })).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Needs and list for'), 'Tile 1 only');
    expect(useView.getState().listFor).toBe('tile');
    // One tile has its list at once.
    expect(screen.getByRole('status').textContent).toBe('');
  });

  it('what went wrong is told, with what to do meanwhile', () => {
    showProject('p', addTile(smallProject(), false).project);
    useSetList.setState({ failed: 'No room is left.' });
    render(<ListFor />);
    expect(screen.getByRole('alert').textContent).toContain('No room is left. Choose one tile meanwhile');
  });
});
