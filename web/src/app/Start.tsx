import { type BaseShape, type CutTool, cutTools, type Starter, starters } from '@hosket/core';
import { RadioGroup } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import { addBegun } from '../store/library.ts';
import { useView } from '../store/viewStore.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { ChoiceField, MeasureField, TickField } from '../ui/Field.tsx';
import { StarterPicture } from './StarterPicture.tsx';
import { useShell } from './shellStore.ts';

const rectangle = (widthMm: number, depthMm: number): BaseShape => ({ kind: 'rectangle', widthMm, depthMm });

const sizes: readonly { id: string; title: string; about: string; shape: BaseShape | null }[] = [
  { id: 'a4', title: 'A4', about: '297 × 210', shape: rectangle(297, 210) },
  { id: 'a5', title: 'A5', about: '210 × 148', shape: rectangle(210, 148) },
  { id: 'a3', title: 'A3', about: '420 × 297', shape: rectangle(420, 297) },
  { id: 'round', title: 'Round', about: '200 across', shape: { kind: 'round', diameterMm: 200 } },
  { id: 'tile', title: 'Tile', about: '300 × 300', shape: rectangle(300, 300) },
  { id: 'board', title: 'Board', about: '600 × 600', shape: rectangle(600, 600) },
  { id: 'own', title: 'My own', about: 'size below', shape: null },
];

const thicknesses = [50, 40, 30, 20, 10, 5];

/** Three questions on one page; scale, date and all else can wait. Then there is a ground, and its plan stands. */
export function Start() {
  const open = useShell((shell) => shell.start);
  return (
    <Dialog
      open={open}
      onOpen={(start) => useShell.setState({ start })}
      title="Start my own"
      note="Three things now; all of them can be changed later."
    >
      <Questions />
    </Dialog>
  );
}

function Questions() {
  const go = useNavigate();
  const [size, setSize] = useState('a4');
  const [own, setOwn] = useState({ widthMm: 350, depthMm: 250 });
  const [ground, setGround] = useState('slope');
  const [sheetsMm, setSheets] = useState<readonly number[]>([20]);
  const [buyable, setBuyable] = useState(true);
  const [tool, setTool] = useState<CutTool>('knife');
  const starter = starters.find(({ id }) => id === ground) ?? null;
  const begin = async () => {
    const shape = sizes.find(({ id }) => id === size)?.shape ?? rectangle(own.widthMm, own.depthMm);
    const id = await addBegun({ shape, sheetsMm, buyable, tool }, starter);
    useView.setState({ demoNoticeSeen: true });
    useShell.setState({ start: false });
    go(`/project/${id}/${starter ? 'ground' : 'brief'}`);
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        // What could not be read is mended first: nothing is begun with a size that was not meant.
        const wrong = event.currentTarget.querySelector<HTMLElement>('[aria-invalid="true"]');
        if (wrong) wrong.focus();
        else void begin();
      }}
    >
      <Question title="How big?">
        <Cards label="How big?" value={size} onValue={setSize} columns={7}>
          {sizes.map(({ id, title, about, shape }) => (
            <Card key={id} value={id} title={title} about={about} tells picture={<SizePicture shape={shape} />} />
          ))}
        </Cards>
        {size === 'own' && (
          <div className="mt-2 flex gap-3">
            <MeasureField
              label="Wide"
              value={own.widthMm}
              least={30}
              most={2000}
              onValue={(widthMm) => setOwn({ ...own, widthMm })}
            />
            <MeasureField
              label="Deep"
              value={own.depthMm}
              least={30}
              most={2000}
              onValue={(depthMm) => setOwn({ ...own, depthMm })}
            />
          </div>
        )}
      </Question>
      <Question title="What is it about?">
        <Cards label="What is it about?" value={ground} onValue={setGround} columns={5}>
          {starters.map((one: Starter) => (
            <Card
              key={one.id}
              value={one.id}
              title={one.title}
              about={one.about}
              picture={<StarterPicture starter={one} />}
            />
          ))}
          <Card
            value="bare"
            title="A bare base"
            about="Draw it all yourself."
            picture={<StarterPicture starter={null} />}
          />
        </Cards>
      </Question>
      <Question title="What is in the shed?">
        <div className="flex flex-wrap items-end gap-x-4 gap-y-1">
          <fieldset className="flex flex-wrap gap-x-3">
            <legend className="text-xs text-muted">Sheets of foam, thickness in mm</legend>
            {thicknesses.map((mm) => (
              <TickField
                key={mm}
                label={`${mm} mm`}
                value={sheetsMm.includes(mm)}
                onValue={(on) => setSheets(on ? [...sheetsMm, mm] : sheetsMm.filter((other) => other !== mm))}
              />
            ))}
          </fieldset>
          <TickField label="More can be bought" value={buyable} onValue={setBuyable} />
          <ChoiceField label="Cut with" value={tool} options={cutTools} onValue={setTool} />
        </div>
      </Question>
      <div className="mt-3 flex items-center gap-3">
        <Button tone="main" type="submit" disabled={!sheetsMm.length}>
          Begin
        </Button>
        <span className="text-sm text-muted">
          {sheetsMm.length ? 'Then the plan stands: layers, amounts, days.' : 'Tick at least one thickness of sheet.'}
        </span>
      </div>
    </form>
  );
}

const Question = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="mb-3">
    <h3 className="mb-1 text-base">{title}</h3>
    {children}
  </section>
);

interface CardsProps {
  label: string;
  value: string;
  onValue: (value: string) => void;
  columns: 5 | 7;
  children: ReactNode;
}

const Cards = ({ label, value, onValue, columns, children }: CardsProps) => (
  <RadioGroup.Root
    aria-label={label}
    value={value}
    onValueChange={onValue}
    className={`grid grid-cols-3 gap-1.5 ${columns === 5 ? 'min-[620px]:grid-cols-5' : 'min-[620px]:grid-cols-7'}`}
  >
    {children}
  </RadioGroup.Root>
);

interface CardProps {
  value: string;
  title: string;
  about: string;
  /** Told beside the name, not only by pointing at it. */
  tells?: boolean;
  picture: ReactNode;
}

function Card({ value, title, about, tells, picture }: CardProps) {
  return (
    <RadioGroup.Item
      value={value}
      aria-label={title}
      aria-description={about}
      title={about}
      className="flex cursor-pointer flex-col rounded-md border border-line p-1.5 text-left text-sm hover:border-graphite data-[state=checked]:border-clay data-[state=checked]:outline-1 data-[state=checked]:outline-clay"
    >
      {picture}
      <span className="mt-1 block leading-tight">{title}</span>
      {tells && <span className="block text-xs leading-tight text-muted">{about}</span>}
    </RadioGroup.Item>
  );
}

/** Sizes beside one another at one scale. */
function SizePicture({ shape }: { shape: BaseShape | null }) {
  const scale = 44 / 600;
  const [w, d] =
    shape?.kind === 'round'
      ? [shape.diameterMm, shape.diameterMm]
      : shape?.kind === 'rectangle'
        ? [shape.widthMm, shape.depthMm]
        : [350, 250];
  return (
    <svg viewBox="0 0 60 48" aria-hidden="true" className="h-10 w-full" fill="var(--foam-a)" stroke="var(--graphite)">
      {shape?.kind === 'round' ? (
        <circle cx={30} cy={24} r={(w * scale) / 2} />
      ) : (
        <rect
          x={30 - (w * scale) / 2}
          y={24 - (d * scale) / 2}
          width={w * scale}
          height={d * scale}
          strokeDasharray={shape ? undefined : '3 2'}
        />
      )}
    </svg>
  );
}
