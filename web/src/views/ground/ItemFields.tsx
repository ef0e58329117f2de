import {
  canGive,
  changeItem,
  fieldLimits,
  hasHeights,
  heightIs,
  heightParts,
  heightsMeantAs,
  type Item,
  type ItemField,
  isLaid,
  isPoint,
  isThing,
  kindWords,
  type Laid,
  type LandformReport,
  skinMmOf,
  type Thing,
} from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { ChoiceField, MeasureField, MeasureOrNoneField, NumberField, TickField, WordsField } from '../../ui/Field.tsx';
import { useSay } from '../../ui/Figures.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { FootprintFields } from './FootprintFields.tsx';

/** The picked thing's few parameters. */
export function ItemFields({ item, built }: { item: Item; built: LandformReport | undefined }) {
  const change = (fields: Record<string, unknown>) => edit((p) => changeItem(p, item.id, fields));
  const values = item as unknown as Record<string, number | string | null>;
  return (
    <fieldset disabled={item.locked} className="mb-3">
      <legend className="sr-only">Parameters of {item.name || item.id}</legend>
      <div className="grid grid-cols-2 gap-2">
        <div className="col-span-2">
          <WordsField label="Name" value={item.name} onValue={(name) => change({ name })} />
        </div>
        {kindWords[item.kind].fields.map((field) => (
          <OneField
            key={field.key}
            field={field}
            value={values[field.key] ?? null}
            now={landHeight(field.key, built)}
            onValue={(value) => change({ [field.key]: value })}
          />
        ))}
      </div>
      <div className="mt-2 grid gap-1.5">
        {item.kind === 'contour' && (
          <>
            <TickField
              label="Closed line"
              value={item.closed}
              onValue={(closed) => item.points.length >= 3 && change({ closed, level: closed && item.level })}
            />
            {item.closed && (
              <TickField
                label="Level inside (a bench, a pad)"
                value={item.level}
                onValue={(level) => change({ level })}
              />
            )}
          </>
        )}
        {'opens' in item && (
          <TickField
            label="It is meant to open on the ground"
            value={item.opens}
            onValue={(opens) => change({ opens })}
          />
        )}
        <HeightIs item={item} change={change} />
        {canGive(item) && <GiveFields give={'give' in item ? item.give : undefined} change={change} />}
        {isThing(item) && item.kind !== 'tree' && <FootprintFields thing={item} change={change} />}
        {(isThing(item) || isLaid(item)) && <UnderDeck item={item} change={change} />}
        {item.kind === 'channel' && <FordFields item={item} change={change} />}
        {!isPoint(item) && (
          <TickField label="Curved through its points" value={item.smooth} onValue={(smooth) => change({ smooth })} />
        )}
      </div>
    </fieldset>
  );
}

/** Where a deck is over something: whether it stands on that, or below. */
function UnderDeck({ item, change }: { item: Thing | Laid; change: (fields: { under: true | undefined }) => void }) {
  const onDeck = usePlan(({ report }) => {
    const reads = [...(report?.fit.things ?? []), ...(report?.laid ?? [])];
    return reads.find(({ id }) => id === item.id)?.deckId ?? null;
  });
  if (onDeck === null && !item.under) return null;
  return (
    <TickField
      label="Stands below the deck, on the ground"
      value={item.under ?? false}
      onValue={(under) => change({ under: under || undefined })}
    />
  );
}

type Give = { downMm: number; upMm: number };

/** How far its heights may be moved so that they fall on a joint. */
function GiveFields({
  give,
  change,
}: {
  give: Give | undefined;
  change: (fields: { give: Give | undefined }) => void;
}) {
  const now = give ?? { downMm: 0, upMm: 0 };
  const to = (next: Partial<Give>) => {
    const { downMm, upMm } = { ...now, ...next };
    change({ give: downMm || upMm ? { downMm, upMm } : undefined });
  };
  return (
    <div className="grid grid-cols-2 gap-2">
      <MeasureField
        label="May go down by"
        value={now.downMm}
        {...fieldLimits('marks.give.downMm')}
        onValue={(downMm) => to({ downMm })}
      />
      <MeasureField
        label="May go up by"
        value={now.upMm}
        {...fieldLimits('marks.give.upMm')}
        onValue={(upMm) => to({ upMm })}
      />
    </div>
  );
}

const heightWords = { foam: 'bare foam', ground: 'finished ground' } as const;

/** Whether its heights are of bare foam or finished; and what the other comes to, on level ground. */
function HeightIs({ item, change }: { item: Item; change: (fields: Record<string, unknown>) => void }) {
  const project = useProject();
  const say = useSay();
  if (!hasHeights(item)) return null;
  const { heightIs: own, ...rest } = item;
  const usual = heightIs(project.heights, rest);
  const is = own ?? usual;
  const other = heightsMeantAs(is === 'foam' ? 'ground' : 'foam', project.heights, item, skinMmOf(project));
  const heights = heightParts(other).flatMap(({ key, label, sense }) => {
    const mm = (other as unknown as Record<string, number | null>)[key];
    return sense === 'height' && typeof mm === 'number' ? [`${label} ${say.mm(mm)}`] : [];
  });
  return (
    <div>
      <ChoiceField
        label="Its heights are of"
        value={own ?? ''}
        options={[
          { value: '', text: `${heightWords[usual]}, as usual here` },
          ...(['foam', 'ground'] as const).map((value) => ({ value, text: heightWords[value] })),
        ]}
        onValue={(value) => change({ heightIs: value || undefined })}
      />
      {heights.length > 0 && (
        <p className="mt-0.5 text-xs text-muted">
          {is === 'foam' ? 'Finished' : 'Bare foam'}: <span className="figure">{heights.join(', ')}</span>
        </p>
      )}
    </div>
  );
}

/** The height that a line left to the land has come to. */
function landHeight(key: string, built: LandformReport | undefined): number | null {
  if (key === 'fromMm') return built?.fromMm ?? null;
  return key === 'toMm' ? (built?.toMm ?? null) : null;
}

interface OneProps {
  field: ItemField;
  value: number | string | null;
  now: number | null;
  onValue: (value: number | string | null) => void;
}

function OneField({ field, value, now, onValue }: OneProps) {
  const { label, measure, least, most, empty, options } = field;
  if (measure === 'choice')
    return <ChoiceField label={label} value={String(value)} options={options ?? []} onValue={onValue} />;
  if (empty !== undefined)
    return (
      <MeasureOrNoneField
        label={label}
        none={empty}
        plain={measure === 'plain'}
        value={value === null ? null : Number(value)}
        now={now}
        least={least}
        most={most}
        onValue={onValue}
      />
    );
  if (measure === 'height' || measure === 'length')
    return <MeasureField label={label} value={Number(value)} least={least} most={most} onValue={onValue} />;
  const unit = measure === 'slope' ? '°' : measure === 'percent' ? '%' : '';
  return (
    <NumberField
      label={label}
      unit={unit}
      whole={measure === 'count'}
      value={Number(value)}
      least={least}
      most={most}
      onValue={onValue}
    />
  );
}

type Channel = Extract<Item, { kind: 'channel' }>;

function FordFields({ item, change }: { item: Channel; change: (fields: Record<string, unknown>) => void }) {
  const { ford } = item;
  return (
    <>
      <TickField
        label="A ford crosses it"
        value={ford !== null}
        onValue={(there) => change({ ford: there ? { share: 0.5, lengthMm: 20, waterMm: 1 } : null })}
      />
      {ford && (
        <div className="grid grid-cols-2 gap-2">
          <NumberField
            label="Along it"
            unit="%"
            value={Math.round(ford.share * 100)}
            least={0}
            most={100}
            onValue={(percent) => change({ ford: { ...ford, share: percent / 100 } })}
          />
          <MeasureField
            label="Length"
            value={ford.lengthMm}
            least={1}
            most={500}
            onValue={(lengthMm) => change({ ford: { ...ford, lengthMm } })}
          />
          <MeasureField
            label="Water over it"
            value={ford.waterMm}
            most={100}
            onValue={(waterMm) => change({ ford: { ...ford, waterMm } })}
          />
        </div>
      )}
    </>
  );
}
