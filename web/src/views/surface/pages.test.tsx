import { mixes, newCoat, type Project } from '@hosket/core';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { projectNow } from '../../store/projectStore.ts';
import { pickZone } from '../../store/viewStore.ts';
import { opened, reportNow, smallProject } from '../../testing/opened.ts';
import { usePlan } from '../../worker/planStore.ts';
import { InHouse } from '../InHouse.tsx';
import { CoatFields } from './CoatFields.tsx';
import { GluesTable } from './GluesTable.tsx';
import { MaterialsPage } from './MaterialsPage.tsx';
import { MixesPage } from './MixesPage.tsx';
import { SurfaceTakeoff } from './SurfaceTakeoff.tsx';

let stop = () => {};
const open = (project?: Project) => {
  stop();
  stop = opened(project);
};
beforeEach(() => {
  open();
  pickZone('rest');
});
afterEach(() => {
  cleanup();
  stop();
});

const write = async (label: string, text: string) => {
  await userEvent.clear(screen.getByLabelText(label));
  await userEvent.type(screen.getByLabelText(label), `${text}{Enter}`);
};
function Following({ of: Of }: { of: (props: { report: ReturnType<typeof reportNow> }) => React.ReactNode }) {
  const report = usePlan((state) => state.report);
  return report && <Of report={report} />;
}

describe('mixes', () => {
  const cells = (name: string) =>
    within(screen.getByRole('row', { name: new RegExp(`^${name}`) }))
      .getAllByRole('cell')
      .map((cell) => cell.textContent);

  it('from the whole: a quarter medium, three quarters water, and the drop of soap', () => {
    render(<MixesPage />);
    expect(screen.getByText(/^1 part of matt medium, 3 parts of water and 1 drop/)).toBeTruthy();
    expect(cells('matt medium')[0]).toMatch(/^25/);
    expect(cells('water')[0]).toMatch(/^75/);
  });

  it('from one part: the rest follows', async () => {
    render(<MixesPage />);
    await userEvent.selectOptions(screen.getByLabelText('What is given'), 'matt medium');
    await write('How much', '10 ml');
    expect(cells('water')[0]).toMatch(/^30/);
  });

  it('every mix can be chosen and measured out', async () => {
    render(<MixesPage />);
    for (const { id, parts } of mixes) {
      await userEvent.selectOptions(screen.getByLabelText('Mix'), id);
      for (const { name } of parts) expect(screen.getAllByRole('row', { name: new RegExp(`^${name}`) }).length).toBe(1);
    }
  });
});

describe('the take-off of the surface', () => {
  const steps = () => screen.getByRole('list', { name: 'Steps on the surface' });

  it('every step with what it takes, its bowls and its cautions', () => {
    render(<Following of={SurfaceTakeoff} />);
    for (const { title, stage, cautions } of reportNow().takeoff) {
      if (stage === 'cut' || stage === 'glue' || stage === 'carve') continue;
      expect(within(steps()).getByRole('heading', { name: title })).toBeTruthy();
      for (const caution of cautions) expect(within(steps()).getAllByText(caution).length).toBeGreaterThan(0);
    }
    expect(screen.getByText(/licensed person/)).toBeTruthy();
  });

  it('its working goes down to a figure that can be corrected, which is then marked yours', async () => {
    render(<Following of={SurfaceTakeoff} />, { wrapper: InHouse });
    await userEvent.click(screen.getByRole('button', { name: /^Show working of Seal coat/ }));
    await userEvent.click(screen.getByRole('button', { name: /^Correct Seal coat.*a litre covers/ }));
    await userEvent.clear(screen.getByLabelText('low'));
    await userEvent.type(screen.getByLabelText('low'), '2');
    await userEvent.click(screen.getByRole('button', { name: 'Count with mine' }));
    expect(projectNow().materials.values).toMatchObject([{ material: 'seal coat', property: 'spreadM2PerL', low: 2 }]);
    expect(screen.getAllByText('yours').length).toBeGreaterThan(0);
  });

  it('only the picked zone, when that is asked', async () => {
    render(<Following of={SurfaceTakeoff} />);
    pickZone('edges');
    await userEvent.click(screen.getByRole('checkbox', { name: 'Only the picked zone' }));
    expect(within(steps()).queryAllByRole('heading')).toEqual([]);
  });
});

describe('glues side by side', () => {
  it('the chosen one is marked, another is taken, and costs come with a price', async () => {
    render(<Following of={GluesTable} />);
    expect(screen.getByRole('row', { name: projectNow().stacking.glue }).textContent).toContain('chosen');
    expect(screen.queryByRole('columnheader', { name: 'Costs' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Glue with contact spray' }));
    expect(projectNow().stacking.glue).toBe('contact spray');
    cleanup();
    const start = smallProject();
    const price = { material: 'hot glue', property: 'price' as const, low: 20, likely: 20, high: 20, note: '' };
    open({ ...start, materials: { added: [], values: [price] } });
    render(<Following of={GluesTable} />);
    expect(screen.getByRole('columnheader', { name: 'Costs' })).toBeTruthy();
    expect(screen.getByRole('row', { name: 'hot glue' }).textContent).toMatch(/\d\.\d\d EUR/);
    expect(screen.getByRole('row', { name: 'sealant' }).textContent).toContain('no price');
  });
});

function Fields() {
  const [coat, setCoat] = useState(newCoat('a', 'paint', 'acrylic', { colour: 'ochre' }));
  return (
    <>
      <CoatFields coat={coat} onChange={(change) => setCoat({ ...coat, ...change })} />
      <output>{JSON.stringify(coat)}</output>
    </>
  );
}

describe('the fields of a coat', () => {
  const coat = () => JSON.parse(screen.getByRole('status').textContent ?? '{}');

  it('another operation takes its own tool, and a material that goes with it', async () => {
    render(<Fields />);
    await userEvent.selectOptions(screen.getByLabelText('Operation'), 'grass');
    expect(coat()).toMatchObject({ operation: 'grass', tool: 'applicator', material: 'grass 2 mm', colour: 'ochre' });
    await userEvent.selectOptions(screen.getByLabelText('Operation'), 'wash');
    expect(coat().tool).toBe('brush');
  });

  it('asks only what goes with the material', async () => {
    render(<Fields />);
    expect(screen.getByLabelText('Thinned with')).toBeTruthy();
    expect(screen.queryByLabelText('Thickness')).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('Operation'), 'plant');
    expect(screen.getByLabelText('On 100 cm²')).toBeTruthy();
    expect(screen.queryByLabelText('Thinned with')).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('Operation'), 'spread');
    expect(screen.getByLabelText('Thickness')).toBeTruthy();
    expect(screen.queryByLabelText('Coats')).toBeNull();
  });

  it('a share over all of it is refused with the reason', async () => {
    render(<Fields />);
    await write('Share of its ground', '120');
    expect(screen.getByRole('alert').textContent).toContain('Between 0 and 100');
    expect(coat().sharePercent).toBe(100);
  });
});

describe('the materials', () => {
  it('are searched by name, and one of one’s own is begun from the like of it', async () => {
    render(<MaterialsPage />);
    await write('Look for', 'light');
    const names = within(screen.getByRole('list', { name: 'Materials' }))
      .getAllByRole('button')
      .map((one) => one.textContent);
    // Names and what is said of their use are looked through.
    expect(names).toContain('Light ready-mixed filler');
    expect(names).not.toContain('Plaster of Paris');
    await userEvent.click(screen.getByRole('button', { name: 'Add my own' }));
    const [own] = projectNow().materials.added;
    expect(own.form).toBe('paste');
    expect(own.values.mostPerCoatMm?.source).toMatchObject({ kind: 'yours' });
  });
});
