import {
  decimals,
  formatMeasure,
  type Purchase,
  type ShoppingLine,
  type ShoppingList,
  sayBuy,
  sayKind,
  sayPurchase,
  sayQuantity,
} from '@hosket/core';
import { Download, Printer } from 'lucide-react';
import { useNavigate } from 'react-router';
import { fileStem } from '../../store/fileStem.ts';
import { useProject } from '../../store/projectStore.ts';
import { useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Figure } from '../../ui/Figures.tsx';
import { saveAs } from '../savePdf.ts';
import { PacksTable } from './PacksTable.tsx';

/** What to buy, rounded up to packs, grouped by material; what else would do; packs and prices of one's own. */
export function ShoppingPage({ list }: { list: ShoppingList }) {
  const project = useProject();
  const units = useView((view) => view.units);
  const go = useNavigate();
  const { sheets, tiles, gaps } = list;
  // Colours of one material stand together.
  const lines = list.shopping
    .filter(({ short }) => short > 1e-9)
    .sort((a, b) => a.name.localeCompare(b.name) || a.which.localeCompare(b.which));
  const there = list.shopping.filter(({ short }) => short <= 1e-9);
  const packs = list.shopping.map((line) => sayBuy(line, units));
  const saveCsv = (semicolons: boolean) =>
    saveAs(
      `${fileStem(project.name)}-shopping.csv`,
      'text/csv',
      async (calls) => `\uFEFF${await calls.writeShoppingCsv(list, packs, semicolons)}`,
    );
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
        Needed less what is in the cupboard, so that one is {project.stores.safety} % sure that nothing runs out;
        rounded up to {project.stores.packs.length ? 'the cheapest packs' : 'usual packs with least left over'}. Water
        comes from the tap.
      </p>
      {tiles.length > 1 && (
        <p className="mb-2 text-sm">
          For {tiles.length} tiles: {tiles.join(', ')}. Each is cut from what those before it leave of the shed, offcuts
          too.
        </p>
      )}
      {gaps.length > 0 && (
        <ul aria-label="Foam that no sheet is known for" className="mb-2 grid gap-1 border-l-[3px] border-plum pl-2">
          {gaps.map(({ tile, message, remedy }) => (
            <li key={`${tile} ${message}`} className="text-sm">
              <strong>{tile}</strong>: {message} {remedy}
            </li>
          ))}
        </ul>
      )}
      <ul aria-label="To buy" className="grid gap-1.5">
        {toBuy.map(({ sheetId, name, thicknessMm, widthMm, depthMm, needed, toBuy: count, cost }) => (
          <li key={sheetId} className="border-b border-line pb-1.5 text-sm">
            <strong>{name}</strong>, {formatMeasure('length', thicknessMm, units)},{' '}
            {formatMeasure('length', widthMm, units)} × {formatMeasure('length', depthMm, units)}: buy{' '}
            <Figure text={`${count}`} /> of {needed}
            {cost !== null && (
              <>
                , <Figure text={`${decimals(cost, 2)} ${project.currency}`} />
              </>
            )}
          </li>
        ))}
        {lines.map((line) => (
          <ToBuy key={`${line.material} ${line.which} ${line.unit}`} line={line} />
        ))}
      </ul>
      {!lines.length && !toBuy.length && !gaps.length && (
        <p className="text-sm">Everything that is needed is in the cupboard.</p>
      )}
      {there.length > 0 && (
        <p className="mt-2 text-xs text-muted">In the cupboard already: {there.map(sayKind).join('; ')}.</p>
      )}
      <PacksTable shopping={list.shopping} />
    </div>
  );
}

function ToBuy({ line }: { line: ShoppingLine }) {
  const { currency } = useProject();
  const units = useView((view) => view.units);
  const { buy, others, unit, wanted, inStock, left } = line;
  const said = (value: number) => sayQuantity(value, unit, units);
  const cost = (one: Purchase) => (one.cost === null ? '' : `, ${decimals(one.cost, 2)} ${currency}`);
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
