import { type Coat, catalogueOf, fieldLimits, type Operation, operations, operationWords, tools } from '@hosket/core';
import { useProject } from '../../store/projectStore.ts';
import { ChoiceField, MeasureOrNoneField, NumberField, NumberOrNoneField, WordsField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';
import { RuleConditions } from './RuleConditions.tsx';

/** All that can be said of one coat; what does not go with its operation is not asked. */
export function CoatFields({ coat, onChange }: { coat: Coat; onChange: (change: Partial<Coat>) => void }) {
  const { materials } = useProject();
  const catalogue = catalogueOf(materials);
  const { forms, title } = operationWords[coat.operation];
  const fitting = catalogue.materials.filter(({ form }) => forms.includes(form));
  const form = catalogue.material(coat.material)?.form;
  const operate = (operation: Operation) => {
    const words = operationWords[operation];
    const fits = form && words.forms.includes(form);
    const first = catalogue.materials.find((material) => words.forms.includes(material.form));
    onChange({ operation, tool: words.tool, ...(fits || !first ? {} : { material: first.id }) });
  };
  const thick = form === 'paste' || form === 'loose' || form === 'panel';
  const counted = form === 'counted';
  return (
    <fieldset className="grid grid-cols-2 gap-2">
      <Legend under>{title}</Legend>
      <ChoiceField
        label="Operation"
        value={coat.operation}
        options={operations.map((operation) => ({ value: operation, text: operationWords[operation].title }))}
        onValue={operate}
      />
      <ChoiceField label="Tool" value={coat.tool} options={tools} onValue={(tool) => onChange({ tool })} />
      <div className="col-span-2">
        <ChoiceField
          label="Material"
          value={coat.material}
          options={fitting.map(({ id, name }) => ({ value: id, text: name }))}
          onValue={(material) => onChange({ material })}
        />
      </div>
      <WordsField label="Colour, or which" most={60} value={coat.colour} onValue={(colour) => onChange({ colour })} />
      {!thick && !counted && (
        <NumberField
          whole
          label={coat.operation === 'dry-brush' ? 'Tones' : form === 'ply' ? 'Plies' : 'Coats'}
          value={coat.coats}
          {...fieldLimits('recipes.coats.coats')}
          onValue={(coats) => onChange({ coats })}
        />
      )}
      {thick && (
        <MeasureOrNoneField
          label="Thickness"
          value={coat.thicknessMm}
          none="usual"
          {...fieldLimits('recipes.coats.thicknessMm')}
          onValue={(thicknessMm) => onChange({ thicknessMm })}
        />
      )}
      <NumberField
        label="Share of its ground"
        unit="%"
        value={coat.sharePercent}
        {...fieldLimits('recipes.coats.sharePercent')}
        onValue={(sharePercent) => onChange({ sharePercent })}
      />
      {form === 'thin' && (
        <NumberOrNoneField
          label="Thinned with"
          unit="parts of water"
          value={coat.thinParts}
          none="as usual"
          {...fieldLimits('recipes.coats.thinParts')}
          onValue={(thinParts) => onChange({ thinParts })}
        />
      )}
      {counted && (
        <>
          <NumberOrNoneField
            label="On 100 cm²"
            unit="pieces"
            value={coat.per100Cm2}
            none="none"
            {...fieldLimits('recipes.coats.per100Cm2')}
            onValue={(per100Cm2) => onChange({ per100Cm2 })}
          />
          <MeasureOrNoneField
            label="Apart at least"
            value={coat.apartMm}
            none="any"
            {...fieldLimits('recipes.coats.apartMm')}
            onValue={(apartMm) => onChange({ apartMm })}
          />
        </>
      )}
      <p className="col-span-2 mt-1 text-xs text-muted">Only where:</p>
      <RuleConditions when={coat.when} onWhen={(when) => onChange({ when })} />
    </fieldset>
  );
}
