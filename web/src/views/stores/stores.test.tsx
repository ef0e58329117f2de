import { addTile, listOfTile, type Project, type ShoppingList, shippedRecipes, wholeList } from '@hosket/core';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { projectNow } from '../../store/projectStore.ts';
import { opened, reportNow, smallProject } from '../../testing/opened.ts';
import { usePlan } from '../../worker/planStore.ts';
import { ChecksPage } from './ChecksPage.tsx';
import { CupboardPage } from './CupboardPage.tsx';
import { DonePage } from './DonePage.tsx';
import { ShoppingPage } from './ShoppingPage.tsx';
import { StoresTakeoff } from './StoresTakeoff.tsx';
import { WeightPage } from './WeightPage.tsx';

let stop = () => {};
const open = (project?: Project) => {
  stop();
  stop = opened(project);
};
beforeEach(() => open());
afterEach(() => {
  cleanup();
  stop();
});

type Page = (props: { report: ReturnType<typeof reportNow> }) => React.ReactNode;
/** A page that is drawn anew with every plan. */
function Following({ of: Of }: { of: Page }) {
  const report = usePlan((state) => state.report);
  return report && <Of report={report} />;
}
/** A page of the list, for the open tile. */
const listed =
  (Of: (props: { list: ShoppingList }) => React.ReactNode): Page =>
  ({ report }) => <Of list={listOfTile(projectNow(), report)} />;
const [Cupboard, Shopping] = [listed(CupboardPage), listed(ShoppingPage)];
const show = (page: Page) =>
  render(
    <MemoryRouter>
      <Following of={page} />
    </MemoryRouter>,
  );
const write = async (label: string, text: string) => {
  await userEvent.clear(screen.getByLabelText(label));
  await userEvent.type(screen.getByLabelText(label), `${text}{Enter}`);
};
const items = () => projectNow().stores.items;

describe('the cupboard and needs', () => {
  it('everything that is needed has a line; what is there is written where it stands', async () => {
    show(Cupboard);
    for (const { name } of reportNow().shopping)
      expect(screen.getAllByText(name, { exact: false }).length).toBeGreaterThan(0);
    await write('Grass glue in the cupboard', '0,25 L');
    expect(items()).toMatchObject([{ material: 'grass glue', which: '', amount: 250, unit: 'ml', place: '' }]);
    const row = screen.getByRole('row', { name: 'Grass glue' });
    expect(within(row).queryByText(/100/)).toBeNull();
    await write('Grass glue in the cupboard', 'none');
    expect(items()).toEqual([]);
  });

  it('an amount that is none is kept with the reason, and nothing is stored', async () => {
    show(Cupboard);
    await write('Grass glue in the cupboard', 'half a jar');
    expect(screen.getByRole('alert').textContent).toContain('not a number');
    expect(items()).toEqual([]);
  });

  it('its place and its dates', async () => {
    show(Cupboard);
    await write('Grass glue in the cupboard', '10 ml');
    await write('Place of Grass glue', 'top shelf');
    expect(items()[0].place).toBe('top shelf');
    await userEvent.selectOptions(screen.getByLabelText('Grouped by'), 'place');
    expect(screen.getByRole('rowheader', { name: 'Top shelf' })).toBeTruthy();
  });

  it('paint that is no colour yet serves no need; given its colour it does', async () => {
    show(Cupboard);
    await userEvent.selectOptions(screen.getByLabelText('Put into the cupboard'), 'acrylic');
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    const black = () => reportNow().shopping.find(({ material, which }) => material === 'acrylic' && which === 'black');
    expect(black()?.inStock).toBe(0);
    await write('Colour or grade of Acrylic paint, brushed', 'black');
    expect(black()?.inStock).toBe(17);
  });

  it('how sure it is to be changes what is wanted', async () => {
    show(Cupboard);
    const wanted = () => reportNow().shopping.find(({ material }) => material === 'compound')?.wanted ?? 0;
    const before = wanted();
    await userEvent.selectOptions(screen.getByLabelText('How sure to have enough, %'), '95');
    expect(projectNow().stores.safety).toBe(95);
    expect(wanted()).toBeGreaterThan(before);
  });

  it('sheets stand in the same table, and are counted there', async () => {
    show(Cupboard);
    await write('Dense foam, 20 mm in the shed', '0');
    expect(projectNow().sheets[0].count).toBe(0);
  });

  it('sorts by its heads, down and up again', async () => {
    show(Cupboard);
    await userEvent.selectOptions(screen.getByLabelText('Grouped by'), 'nothing');
    const head = screen.getByRole('columnheader', { name: 'Material' });
    await userEvent.click(within(head).getByRole('button'));
    expect(head.getAttribute('aria-sort')).toBe('ascending');
    await userEvent.click(within(head).getByRole('button'));
    expect(head.getAttribute('aria-sort')).toBe('descending');
  });
});

describe('the shopping list', () => {
  const note = async (holds: string, price: string) => {
    await userEvent.selectOptions(screen.getByLabelText('Material of the pack'), 'compound');
    await write('Holds', holds);
    await write('Price', price);
    await userEvent.click(screen.getByRole('button', { name: 'Note the pack' }));
  };
  const line = (name: string) =>
    within(screen.getByRole('list', { name: 'To buy' }))
      .getAllByRole('listitem')
      .find((one) => one.textContent?.includes(name)) as HTMLElement;

  it('usual packs without a price, in alphabetical order', () => {
    show(Shopping);
    expect(line('Cellulose-plaster compound').textContent).toContain('no price');
    const names = within(screen.getByRole('list', { name: 'To buy' }))
      .getAllByRole('listitem')
      .map((one) => one.querySelector('strong')?.textContent ?? '');
    expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
  });

  it('the builder’s own packs decide by price, until they are forgotten', async () => {
    show(Shopping);
    await note('50', '1');
    await note('1000', '30');
    const { wanted } = reportNow().shopping.find(({ material }) => material === 'compound') ?? { wanted: 0 };
    const small = Math.ceil(wanted / 50);
    expect(line('Cellulose-plaster compound').textContent).toContain(`${small} x 50 g`);
    expect(line('Cellulose-plaster compound').textContent).toContain(`${small}.00 EUR`);
    expect(line('Cellulose-plaster compound').textContent).toContain('are cheaper here than one large one');
    await userEvent.click(screen.getAllByRole('button', { name: 'Forget the pack of Cellulose-plaster compound' })[0]);
    expect(projectNow().stores.packs).toHaveLength(1);
    expect(line('Cellulose-plaster compound').textContent).toContain('30.00 EUR');
  });

  it('everything there: nothing to buy', () => {
    const start = smallProject();
    open({
      ...start,
      stores: {
        ...start.stores,
        items: reportNow().shopping.map(({ material, which, unit, wanted }, k) => ({
          id: `s${k}`,
          material,
          which,
          unit,
          amount: wanted * 2,
          opened: null,
          useBy: null,
          place: '',
        })),
      },
    });
    show(Shopping);
    expect(screen.getByText('Everything that is needed is in the cupboard.')).toBeTruthy();
  });
});

describe('the shopping list of a set', () => {
  it('names its tiles and what no sheet is known for; nothing is said to be all there while foam is missing', () => {
    const gaps = [{ tile: 'Ford', message: 'Piece 2-1 lies nowhere.', remedy: 'Add sheets.' }];
    render(
      <MemoryRouter>
        <ShoppingPage list={{ tiles: ['Gate', 'Ford'], shopping: [], sheets: [], gaps, currency: 'EUR' }} />
      </MemoryRouter>,
    );
    expect(screen.getByText(/^For 2 tiles: Gate, Ford\./)).toBeTruthy();
    const missing = screen.getByRole('list', { name: 'Foam that no sheet is known for' });
    expect(missing.textContent).toBe('Ford: Piece 2-1 lies nowhere. Add sheets.');
    expect(screen.queryByText('Everything that is needed is in the cupboard.')).toBeNull();
  });

  it('two tiles have a board each, in the table and on the list', () => {
    const { project } = addTile(smallProject(), false);
    open(project);
    const list = wholeList(project, reportNow());
    render(
      <MemoryRouter>
        <CupboardPage list={list} />
      </MemoryRouter>,
    );
    expect(within(screen.getByRole('row', { name: /^Fibreboard: / })).getAllByText('2').length).toBeGreaterThan(0);
  });
});

describe('what is done', () => {
  it('is marked with what was really used, and taken back', async () => {
    const start = smallProject();
    open({
      ...start,
      stores: {
        ...start.stores,
        items: [
          { id: 'a', material: 'compound', which: '', amount: 500, unit: 'g', opened: null, useBy: null, place: '' },
        ],
      },
    });
    show(DonePage);
    const { title } = reportNow().takeoff.find(({ stage }) => stage === 'skin') ?? { title: '' };
    await userEvent.click(screen.getByRole('button', { name: `Done: ${title}` }));
    await write('of it powder, used', '120 g');
    await userEvent.click(screen.getByRole('button', { name: 'Mark it done' }));
    expect(items()[0].amount).toBe(380);
    expect(screen.getByRole('listitem', { name: title }).textContent).toMatch(
      /done on \d{4}-\d\d-\d\d; took from 1 thing/,
    );
    await userEvent.click(screen.getByRole('button', { name: `Not done after all: ${title}` }));
    expect(items()[0].amount).toBe(500);
  });

  it('a step that left the plan is still listed, so that what it took can be put back', async () => {
    const start = smallProject();
    open({
      ...start,
      stores: {
        ...start.stores,
        done: [{ tile: start.tile.id, step: 'gone', title: 'Old coat', on: '2027-03-02', used: [], taken: [] }],
      },
    });
    show(DonePage);
    const list = screen.getByRole('list', { name: 'Done, no longer in the plan' });
    expect(list.textContent).toContain('Old coat');
    await userEvent.click(within(list).getByRole('button', { name: 'Take the mark back' }));
    expect(projectNow().stores.done).toEqual([]);
  });
});

describe('all checks', () => {
  it('what counts by its weight, what is ignored last with its note', () => {
    const start = smallProject();
    const [recipe] = start.recipes;
    open({
      ...start,
      stacking: { ...start.stacking, glue: 'super glue' },
      recipes: [{ ...recipe, coats: [...recipe.coats].reverse() }],
      overruled: [{ code: 'colour-over-grass', place: recipe.name, note: 'a trial' }],
    });
    show(ChecksPage);
    const heads = screen.getAllByRole('heading').map((one) => one.textContent);
    expect(heads).toEqual(
      ['Stops the work', 'Wants attention', 'Notes', 'Ignored, with a note'].filter((head) => heads.includes(head)),
    );
    expect(
      within(screen.getByRole('list', { name: 'Stops the work' })).getAllByRole('listitem')[0].textContent,
    ).toContain('dissolves the foam');
    expect(screen.getByRole('list', { name: 'Ignored' }).textContent).toContain('Your note: a trial');
  });

  it('nothing stands against a plan that is sound', () => {
    const start = smallProject();
    const bare = shippedRecipes.find(({ id }) => id === 'rock');
    open({ ...start, recipes: [{ ...start.recipes[0], coats: bare?.coats ?? [] }] });
    show(ChecksPage);
    expect(screen.queryByRole('list', { name: 'Stops the work' })).toBeNull();
    expect(screen.queryByRole('list', { name: 'Wants attention' })).toBeNull();
  });
});

describe('weight and how it stands', () => {
  it('part by part, and what would make it lighter and sooner', () => {
    show(WeightPage);
    const table = screen.getByRole('table', { name: 'Weight, cost and time part by part' });
    expect(
      within(table)
        .getAllByRole('rowheader')
        .map((one) => one.textContent),
    ).toEqual(reportNow().breakdown.map(({ part }) => part[0].toUpperCase() + part.slice(1)));
    expect(screen.getByRole('list', { name: 'What makes it heavy' }).textContent).toContain('lighter');
    expect(screen.queryByRole('list', { name: 'What makes it dear' })).toBeNull();
  });

  it('on a plinth or a wall, with its measures', async () => {
    show(StoresTakeoff);
    expect(screen.getByText(/^Falls to the/)).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('On'), 'a wall');
    expect(screen.getByText('Each of two hooks carries')).toBeTruthy();
    expect(screen.queryByText(/^Falls to the/)).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('On'), 'a plinth');
    await write('Plinth, wide', '3 mm');
    expect(projectNow().support.plinth.widthMm).toBe(3);
    expect(screen.getByText('too easily')).toBeTruthy();
  });
});
