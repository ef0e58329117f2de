import type { PackUnit } from '@hosket/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { DayField } from './DayField.tsx';
import { QuantityField } from './QuantityField.tsx';

afterEach(cleanup);

function Stock({ unit, from = null, none }: { unit: PackUnit; from?: number | null; none?: string }) {
  const [value, setValue] = useState(from);
  return (
    <>
      <QuantityField label="Stock" unit={unit} value={value} none={none} onValue={setValue} />
      <output>{String(value)}</output>
    </>
  );
}
const shown = () => screen.getByRole('status').textContent;
const write = async (text: string) => {
  await userEvent.clear(screen.getByLabelText('Stock'));
  await userEvent.type(screen.getByLabelText('Stock'), `${text}{Enter}`);
};

describe('an amount as it is stored', () => {
  it.each([
    ['ml', '0,5 L', '500'],
    ['g', '1.2 kg', '1200'],
    ['mm', '1 m', '1000'],
    ['each', '25', '25'],
  ] as const)('%s takes %s', async (unit, text, value) => {
    render(<Stock unit={unit} />);
    await write(text);
    expect(Number(shown())).toBeCloseTo(Number(value), 6);
  });

  it('is none where that is allowed, and refused where it is not', async () => {
    render(<Stock unit="g" from={200} none="none" />);
    await write('none');
    expect(shown()).toBe('null');
    cleanup();
    render(<Stock unit="g" from={200} />);
    await write('none');
    expect(screen.getByRole('alert').textContent).toContain('not a number');
    expect(shown()).toBe('200');
  });

  it.each([
    ['each', '-3'],
    ['each', 'some'],
    ['ml', '5 kg'],
    ['g', '99999 kg'],
  ] as const)('%s does not take %s', async (unit, text) => {
    render(<Stock unit={unit} from={10} />);
    await write(text);
    expect(screen.getByRole('alert').textContent?.length).toBeGreaterThan(5);
    expect(shown()).toBe('10');
  });
});

describe('a day, or none', () => {
  it('takes a day, and none', async () => {
    const taken: (string | null)[] = [];
    render(<DayField label="Use by" value={null} onValue={(day) => taken.push(day)} />);
    await userEvent.type(screen.getByLabelText('Use by'), '2027-03-15{Enter}');
    expect(taken).toEqual(['2027-03-15']);
  });
});
