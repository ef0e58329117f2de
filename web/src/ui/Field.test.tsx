import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { MeasureField, MeasureOrNoneField, NumberField } from './Field.tsx';
import { SurroundingsContext } from './surroundings.ts';

afterEach(cleanup);

function Height({ from }: { from: number }) {
  const [value, setValue] = useState(from);
  return (
    <>
      <MeasureField label="Height" value={value} most={500} onValue={setValue} />
      <output>{value}</output>
    </>
  );
}
const shown = () => Number(screen.getByRole('status').textContent);
const field = () => screen.getByLabelText<HTMLInputElement>('Height');

describe('a field for a measure', () => {
  it('takes any unit on Enter, and shows it in the units in use', async () => {
    render(<Height from={40} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '1 1/2 in{Enter}');
    expect(shown()).toBeCloseTo(38.1, 9);
    expect(field().value).toBe('38.1 mm');
  });

  it('takes what was written on leaving it', async () => {
    render(<Height from={40} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '4,7 cm');
    await userEvent.tab();
    expect(shown()).toBeCloseTo(47, 9);
  });

  it('keeps a wrong text, says why, and leaves the value alone; Escape gives it up', async () => {
    render(<Height from={40} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'high{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('not a number');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(shown()).toBe(40);
    await userEvent.type(field(), '{Escape}');
    expect(field().value).toBe('40 mm');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('refuses what is out of bounds', async () => {
    render(<Height from={40} />);
    await userEvent.clear(field());
    await userEvent.type(field(), '2 m{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('Between 0 mm and 500 mm');
  });

  it('steps by arrow keys, ten with Shift', async () => {
    render(<Height from={40} />);
    await userEvent.click(field());
    await userEvent.keyboard('{ArrowUp}{ArrowUp}{ArrowDown}{Shift>}{ArrowUp}{/Shift}');
    expect(shown()).toBe(51);
  });

  it('speaks inches when asked to', () => {
    render(
      <SurroundingsContext value={{ units: 'imperial', correct: null }}>
        <Height from={38.1} />
      </SurroundingsContext>,
    );
    expect(field().value).toBe('1 1/2 in');
  });
});

it('a number with a unit reads back without it', async () => {
  const values: number[] = [];
  render(<NumberField label="Loss" unit="%" value={10} least={0} most={50} onValue={(value) => values.push(value)} />);
  const loss = screen.getByLabelText<HTMLInputElement>('Loss');
  expect(loss.value).toBe('10 %');
  await userEvent.clear(loss);
  await userEvent.type(loss, '12.5{Enter}');
  await userEvent.clear(loss);
  await userEvent.type(loss, '70{Enter}');
  expect(values).toEqual([12.5]);
});

describe('a field that may be left open', () => {
  it('keeps what is being written while a plan arrives that says what it comes to', async () => {
    const taken: (number | null)[] = [];
    const at = (now: number) => (
      <MeasureOrNoneField
        label="Height at its start"
        none="as the land lies"
        value={null}
        now={now}
        least={0}
        most={500}
        onValue={(value) => taken.push(value)}
      />
    );
    const { rerender } = render(at(17.4));
    const start = screen.getByLabelText<HTMLInputElement>('Height at its start');
    expect(start.value).toBe('as the land lies, 17.4 mm');
    await userEvent.clear(start);
    await userEvent.type(start, '2');
    rerender(at(17.5));
    await userEvent.type(start, '2{Enter}');
    expect(taken).toEqual([22]);
  });
});
