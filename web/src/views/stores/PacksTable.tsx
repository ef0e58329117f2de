import {
  fieldLimits,
  freeId,
  type PackOffer,
  type PackUnit,
  packUnits,
  putPack,
  removePack,
  type ShoppingLine,
} from '@hosket/core';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, NumberField, NumberOrNoneField, WordsField } from '../../ui/Field.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { Legend } from '../../ui/Legend.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Heads, Table } from '../../ui/Table.tsx';

/** The builder's own packs and prices. */
export function PacksTable({ shopping }: { shopping: readonly ShoppingLine[] }) {
  const { stores, currency } = useProject();
  const change = (pack: PackOffer, next: Partial<PackOffer>) => edit((p) => putPack(p, { ...pack, ...next }));
  const names = new Map(shopping.map(({ material, name }) => [material, name]));
  return (
    <section aria-label="Packs and prices" className="mt-5">
      <h2 className="mb-1 text-base">
        <Word>Packs and prices</Word>
      </h2>
      {stores.packs.length > 0 && (
        <Table label="Packs">
          <Heads of={['Material', 'Colour or grade', 'Pack', 'Unit', `Price, ${currency}`, 'Where it is sold', '']} />
          <tbody>
            {stores.packs.map((pack) => {
              const name = names.get(pack.material) ?? pack.material;
              return (
                <tr key={pack.id} aria-label={`Pack of ${name}`}>
                  <th scope="row">{name}</th>
                  <td>
                    <WordsField
                      hideLabel
                      label={`Colour or grade of the pack of ${name}`}
                      most={60}
                      value={pack.which}
                      onValue={(which) => change(pack, { which })}
                    />
                  </td>
                  <td className="w-24">
                    <QuantityField
                      label={`Pack of ${name} holds`}
                      unit={pack.unit}
                      value={pack.amount}
                      onValue={(amount) => amount && change(pack, { amount })}
                    />
                  </td>
                  <td>
                    <ChoiceField
                      hideLabel
                      label={`Unit of the pack of ${name}`}
                      value={pack.unit}
                      options={packUnits}
                      onValue={(unit: PackUnit) => change(pack, { unit })}
                    />
                  </td>
                  <td className="w-24">
                    <NumberField
                      hideLabel
                      label={`Price of the pack of ${name}`}
                      value={pack.price ?? 0}
                      {...fieldLimits('stores.packs.price')}
                      onValue={(price) => change(pack, { price })}
                    />
                  </td>
                  <td>
                    <WordsField
                      hideLabel
                      label={`Where the pack of ${name} is sold`}
                      value={pack.supplier}
                      onValue={(supplier) => change(pack, { supplier })}
                    />
                  </td>
                  <td>
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
        </Table>
      )}
      <NewPack shopping={shopping} />
    </section>
  );
}

function NewPack({ shopping }: { shopping: readonly ShoppingLine[] }) {
  const { currency } = useProject();
  const [key, setKey] = useState('');
  const [amount, setAmount] = useState<number | null>(null);
  const [price, setPrice] = useState<number | null>(null);
  const line = shopping.find(({ material }) => material === key);
  const kinds = [...new Map(shopping.map(({ material, name }) => [material, name]))];
  // A pack is written in the unit that its usual packs have.
  const unit = line?.buy?.of[0]?.offer.unit ?? line?.unit ?? 'g';
  return (
    <fieldset className="flex flex-wrap items-end gap-2">
      <Legend under>A pack as you can get it, with its price:</Legend>
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
