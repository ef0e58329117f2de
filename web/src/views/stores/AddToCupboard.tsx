import { catalogueOf, freeId, putStoreItem } from '@hosket/core';
import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField } from '../../ui/Field.tsx';

/** Puts any material of the catalogue into the cupboard, needed or not. */
export function AddToCupboard() {
  const { materials } = useProject();
  const [material, setMaterial] = useState('');
  const known = useMemo(
    () =>
      [...catalogueOf(materials).materials]
        .filter(({ id, form }) => id !== 'water' && form !== 'foam')
        .sort((a, b) => a.name.localeCompare(b.name)),
    [materials],
  );
  const chosen = known.find(({ id }) => id === material);
  return (
    <div className="flex items-end gap-2">
      <ChoiceField
        label="Put into the cupboard"
        value={material}
        options={[{ value: '', text: 'choose' }, ...known.map(({ id, name }) => ({ value: id, text: name }))]}
        onValue={setMaterial}
      />
      <Button
        disabled={!chosen}
        onClick={() => {
          if (!chosen) return;
          const [pack = { amount: 100, unit: 'g' as const }] = chosen.packs;
          edit((p) =>
            putStoreItem(p, {
              id: freeId('store', p.stores.items),
              material: chosen.id,
              which: '',
              amount: pack.amount,
              unit: pack.unit,
              opened: null,
              useBy: null,
              place: '',
            }),
          );
          setMaterial('');
        }}
      >
        <Plus size={14} aria-hidden /> Add
      </Button>
    </div>
  );
}
