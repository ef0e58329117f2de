import {
  formatMeasure,
  freeId,
  type PackOffer,
  type PackUnit,
  type PlanReport,
  type Purchase,
  packUnits,
  putPack,
  removePack,
  type ShoppingLine,
  sayBuy,
  sayKind,
  sayPurchase,
  sayQuantity,
  sheetNeeds,
} from '@hosket/core';
import { Download, Plus, Printer, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { edit, useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { download, fileStem } from '../../ui/download.ts';
import { ChoiceField, NumberField, NumberOrNoneField, WordsField } from '../../ui/Field.tsx';
import { Figure } from '../../ui/Figures.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { WideTable } from '../../ui/WideTable.tsx';

/** What to buy, rounded up to packs, grouped by material; what else would do; packs and prices of one's own. */
export function ShoppingPage({ report }: { report: PlanReport }) {
  const project = useProject();
  const units = useView((view) => view.units);
  const go = useNavigate();
  const sheets = sheetNeeds(project, report.stack.sheetsUsed);
  // Colours of one material stand together.
  const lines = report.shopping
    .filter(({ short }) => short > 1e-9)
    .sort((a, b) => a.name.localeCompare(b.name) || a.which.localeCompare(b.which));
  const there = report.shopping.filter(({ short }) => short <= 1e-9);
  const saveCsv = async (semicolons: boolean) => {
    const { writeShoppingCsv } = await import('@hosket/formats');
    const text = writeShoppingCsv(report.shopping, sheets, (line) => sayBuy(line, units), semicolons);
    download(new Blob([`\uFEFF${text}`], { type: 'text/csv' }), `${fileStem(project.name)}-shopping.csv`);
  };
  const toBuy = sheets.filter((sheet) => sheet.toBuy > 0);
  return (
    <div>
      <div className="mb-2 flex flex-wrap gap-1">
        <Button tone="quiet" onClick={() => go('../print', { relative: 'path' })}>
          <Printer size={14} aria-hidden /> Print it
        </Button>
        <Button tone="quiet" onClick={() => saveCsv(false)}>
          <Download size={14} aria-hidden /> As CSV
        </Button>
        <Button tone="quiet" onClick={() => saveCsv(true)} title="Semicolons and decimal commas">
          <Download size={14} aria-hidden /> CSV with semicolons
        </Button>
      </div>
      <p className="mb-2 text-sm text-muted">
        Needed less what is in the cupboard, so that {project.stores.safety} times in 100 nothing runs out; rounded up
        to {project.stores.packs.length ? 'the cheapest packs' : 'usual packs with least left over'}. Water comes from
        the tap.
      </p>
      {project.tiles.length > 0 && (
        <p className="mb-2 text-sm">
          For the tile that lies open, <strong>{project.tile.name}</strong>; each tile of the set has a list of its own.
        </p>
      )}
      <ul aria-label="To buy" className="grid gap-1.5">
        {toBuy.map(({ sheetId, name, thicknessMm, widthMm, depthMm, needed, toBuy: count, cost }) => (
          <li key={sheetId} className="border-b border-line pb-1.5 text-sm">
            <strong>{name}</strong>, {formatMeasure('length', thicknessMm, units)},{' '}
            {formatMeasure('length', widthMm, units)} × {formatMeasure('length', depthMm, units)}: buy{' '}
            <Figure text={`${count}`} /> of {needed}
            {cost !== null && (
              <>
                , <Figure text={`${cost.toFixed(2)} ${project.currency}`} />
              </>
            )}
          </li>
        ))}
        {lines.map((line) => (
          <ToBuy key={`${line.material} ${line.which} ${line.unit}`} line={line} />
        ))}
      </ul>
      {!lines.length && !toBuy.length && <p className="text-sm">Everything that is needed is in the cupboard.</p>}
      {there.length > 0 && (
        <p className="mt-2 text-xs text-muted">In the cupboard already: {there.map(sayKind).join('; ')}.</p>
      )}
      <PacksTable report={report} />
    </div>
  );
}

function ToBuy({ line }: { line: ShoppingLine }) {
  const { currency } = useProject();
  const units = useView((view) => view.units);
  const { buy, others, unit, wanted, inStock, left } = line;
  const said = (value: number) => sayQuantity(value, unit, units);
  const cost = (one: Purchase) => (one.cost === null ? '' : `, ${one.cost.toFixed(2)} ${currency}`);
  return (
    <li className="border-b border-line pb-1.5 text-sm">
      <div className="flex items-baseline justify-between gap-3">
        <span>
          <strong>{sayKind(line)}</strong>
          <span className="block text-xs text-muted">
            needed {said(wanted)}
            {inStock > 0 && `, in the cupboard ${said(inStock)}`}
            {buy && `; ${said(Math.max(0, left))} left over`}
          </span>
        </span>
        <span className="shrink-0 text-right">
          <Figure text={sayBuy(line, units)} />
          <span className="block text-xs text-muted">
            {buy ? cost(buy).slice(2) || 'no price' : 'no pack known'}
            {buy?.of.some(({ offer }) => offer.supplier) &&
              ` at ${[...new Set(buy.of.map(({ offer }) => offer.supplier).filter(Boolean))].join(', ')}`}
          </span>
        </span>
      </div>
      {buy && others.length > 0 && (
        <p className="text-xs text-muted">
          {insteadWords(buy, others)} Or{' '}
          {others
            .slice(0, 3)
            .map((one) => `${sayPurchase(one, units)}${cost(one)}`)
            .join('; or ')}
          .
        </p>
      )}
    </li>
  );
}

/** "Two small packs are cheaper here than one large." */
function insteadWords(buy: Purchase, others: readonly Purchase[]): string {
  const single = others.find(({ packs, cost }) => packs === 1 && cost !== null && buy.cost !== null && cost > buy.cost);
  if (single && buy.packs > 1) return `${buy.packs} small packs are cheaper here than one large one.`;
  const many = others.find(({ packs, cost }) => packs > 1 && cost !== null && buy.cost !== null && cost > buy.cost);
  if (many && buy.packs === 1) return `One large pack is cheaper here than ${many.packs} small ones.`;
  return '';
}

/** The builder's own packs and prices. */
function PacksTable({ report }: { report: PlanReport }) {
  const { stores, currency } = useProject();
  const change = (pack: PackOffer, next: Partial<PackOffer>) => edit((p) => putPack(p, { ...pack, ...next }));
  const names = new Map(report.shopping.map(({ material, name }) => [material, name]));
  const cell = 'pr-2 pb-1 align-top';
  return (
    <section aria-label="Packs and prices" className="mt-5">
      <h2 className="mb-1 text-base">Packs and prices</h2>
      {stores.packs.length > 0 && (
        <WideTable label="Packs">
          <thead>
            <tr>
              {['Material', 'Colour or grade', 'Pack', 'Unit', `Price, ${currency}`, 'Where it is sold', ''].map(
                (head) => (
                  <th
                    key={head || 'actions'}
                    scope="col"
                    className="pr-2 pb-1 text-left text-xs font-normal text-muted"
                  >
                    {head || <span className="sr-only">Actions</span>}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            {stores.packs.map((pack) => {
              const name = names.get(pack.material) ?? pack.material;
              return (
                <tr key={pack.id} aria-label={`Pack of ${name}`}>
                  <th scope="row" className={`${cell} text-left font-normal`}>
                    {name}
                  </th>
                  <td className={cell}>
                    <WordsField
                      hideLabel
                      label={`Colour or grade of the pack of ${name}`}
                      most={60}
                      value={pack.which}
                      onValue={(which) => change(pack, { which })}
                    />
                  </td>
                  <td className={`${cell} w-24`}>
                    <QuantityField
                      label={`Pack of ${name} holds`}
                      unit={pack.unit}
                      value={pack.amount}
                      onValue={(amount) => amount && change(pack, { amount })}
                    />
                  </td>
                  <td className={cell}>
                    <ChoiceField
                      hideLabel
                      label={`Unit of the pack of ${name}`}
                      value={pack.unit}
                      options={packUnits}
                      onValue={(unit: PackUnit) => change(pack, { unit })}
                    />
                  </td>
                  <td className={`${cell} w-24`}>
                    <NumberField
                      hideLabel
                      label={`Price of the pack of ${name}`}
                      value={pack.price ?? 0}
                      least={0}
                      most={1e6}
                      onValue={(price) => change(pack, { price })}
                    />
                  </td>
                  <td className={cell}>
                    <WordsField
                      hideLabel
                      label={`Where the pack of ${name} is sold`}
                      value={pack.supplier}
                      onValue={(supplier) => change(pack, { supplier })}
                    />
                  </td>
                  <td className={cell}>
                    <Button
                      tone="quiet"
                      aria-label={`Forget the pack of ${name}`}
                      onClick={() => edit((p) => removePack(p, pack.id))}
                    >
                      <Trash2 size={14} aria-hidden />
                    </Button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </WideTable>
      )}
      <NewPack report={report} />
    </section>
  );
}

function NewPack({ report }: { report: PlanReport }) {
  const { currency } = useProject();
  const [key, setKey] = useState('');
  const [amount, setAmount] = useState<number | null>(null);
  const [price, setPrice] = useState<number | null>(null);
  const line = report.shopping.find(({ material }) => material === key);
  const kinds = [...new Map(report.shopping.map(({ material, name }) => [material, name]))];
  // A pack is written in the unit that its usual packs have.
  const unit = line?.buy?.of[0]?.offer.unit ?? line?.unit ?? 'g';
  return (
    <fieldset className="flex flex-wrap items-end gap-2">
      <legend className="mb-1 text-xs text-muted">A pack as you can get it, with its price:</legend>
      <ChoiceField
        label="Material of the pack"
        value={key}
        options={[{ value: '', text: 'choose' }, ...kinds.map(([value, text]) => ({ value, text }))]}
        onValue={setKey}
      />
      <div className="w-24">
        <NumberOrNoneField
          label="Holds"
          unit={unit}
          none="how much"
          value={amount}
          least={0.1}
          most={1e6}
          onValue={setAmount}
        />
      </div>
      <div className="w-28">
        <NumberOrNoneField
          label="Price"
          unit={currency}
          none="no price"
          value={price}
          least={0}
          most={1e6}
          onValue={setPrice}
        />
      </div>
      <Button
        disabled={!line || !amount}
        onClick={() => {
          if (!line || !amount) return;
          edit((p) =>
            putPack(p, {
              id: freeId('pack', p.stores.packs),
              material: line.material,
              which: '',
              amount,
              unit,
              price,
              supplier: '',
            }),
          );
          setAmount(null);
          setPrice(null);
        }}
      >
        <Plus size={14} aria-hidden /> Note the pack
      </Button>
    </fieldset>
  );
}
