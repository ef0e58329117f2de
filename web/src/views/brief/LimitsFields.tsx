import {
  covers,
  fieldLimits,
  freeId,
  type Judging,
  type LimitRule,
  type Limits,
  operations,
  type Project,
  presences,
  type RuleCheck,
  ruleKinds,
} from '@hosket/core';
import { Plus, Trash2 } from 'lucide-react';
import { edit } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { ChoiceField, MeasureField, NumberField, NumberOrNoneField, TickField, WordsField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';

const change = (next: Partial<Limits>) => edit((p) => ({ ...p, limits: { ...p.limits, ...next } }));
const judge = (next: Partial<Judging>) => edit((p) => ({ ...p, judging: { ...p.judging, ...next } }));

/** Until when, how heavy, how dear, how long; and the rules of a competition or a teacher. */
export function LimitsFields({ project }: { project: Project }) {
  const { dueDate, sureOf, weightG, cost, benchHours, rules } = project.limits;
  return (
    <fieldset className="grid grid-cols-2 content-start gap-3">
      <Legend>Limits</Legend>
      <DayField label="Finished by" value={dueDate} onValue={(day) => change({ dueDate: day })} />
      <NumberField
        label="How sure of the date"
        unit="%"
        value={sureOf}
        {...fieldLimits('limits.sureOf')}
        onValue={(times) => change({ sureOf: Math.round(times) })}
      />
      <QuantityField
        labelled
        label="Weight"
        unit="g"
        none="no limit"
        value={weightG}
        {...fieldLimits('limits.weightG')}
        least={1}
        onValue={(g) => change({ weightG: g })}
      />
      <NumberOrNoneField
        label="Cost"
        unit={project.currency}
        value={cost}
        {...fieldLimits('limits.cost')}
        least={0.01}
        onValue={(sum) => change({ cost: sum })}
      />
      <NumberOrNoneField
        label="Hours at the bench"
        unit="h"
        value={benchHours}
        {...fieldLimits('limits.benchHours')}
        least={0.1}
        onValue={(hours) => change({ benchHours: hours })}
      />
      <NumberField
        label="Figures slide from"
        unit="°"
        value={project.judging.tiltDegrees}
        {...fieldLimits('judging.tiltDegrees')}
        onValue={(tiltDegrees) => judge({ tiltDegrees })}
      />
      <MeasureField
        label="Figures rock from"
        value={project.judging.unevenMm}
        {...fieldLimits('judging.unevenMm')}
        onValue={(unevenMm) => judge({ unevenMm })}
      />
      <MeasureField
        label="A way reaches a house within"
        value={project.judging.wayMm}
        {...fieldLimits('judging.wayMm')}
        onValue={(wayMm) => judge({ wayMm })}
      />
      <ul className="col-span-2 grid gap-2" aria-label="Rules">
        {rules.map((rule) => (
          <RuleFields key={rule.id} rule={rule} rules={rules} />
        ))}
      </ul>
      <div className="col-span-2">
        <Button
          onClick={() =>
            change({
              rules: [
                ...rules,
                {
                  id: freeId('rule', rules),
                  text: `Rule ${rules.length + 1}`,
                  check: { kind: 'by hand', done: false },
                },
              ],
            })
          }
        >
          <Plus size={14} aria-hidden /> Add a rule
        </Button>
      </div>
    </fieldset>
  );
}

const begin: Record<RuleCheck['kind'], RuleCheck> = {
  'by hand': { kind: 'by hand', done: false },
  footprint: { kind: 'footprint', widthMm: 300, depthMm: 200 },
  height: { kind: 'height', mostMm: 200 },
  present: { kind: 'present', what: 'water', least: 1 },
  zone: { kind: 'zone', cover: 'grass', leastPercent: 5 },
  worn: { kind: 'worn', operation: 'grass', leastPercent: 5 },
  'finished by': { kind: 'finished by', date: '2027-06-30' },
};

const kindWords: Record<RuleCheck['kind'], string> = {
  'by hand': 'ticked by hand',
  footprint: 'largest footprint',
  height: 'greatest height',
  present: 'must be there',
  zone: 'must be covered',
  worn: 'must be laid, by the recipes',
  'finished by': 'finished by',
};

function RuleFields({ rule, rules }: { rule: LimitRule; rules: readonly LimitRule[] }) {
  const set = (next: Partial<LimitRule>) =>
    change({ rules: rules.map((other) => (other.id === rule.id ? { ...other, ...next } : other)) });
  const { check } = rule;
  const name = rule.text || 'rule';
  return (
    <li className="grid grid-cols-[1fr_1fr_auto] items-end gap-2 border-l-[3px] border-line pl-2">
      <WordsField label="Rule" value={rule.text} onValue={(text) => set({ text })} />
      <ChoiceField
        label={`How ${name} is ticked`}
        value={check.kind}
        options={ruleKinds.map((kind) => ({ value: kind, text: kindWords[kind] }))}
        onValue={(kind) => set({ check: begin[kind] })}
      />
      <Button
        tone="quiet"
        aria-label={`Remove ${name}`}
        onClick={() => change({ rules: rules.filter((other) => other.id !== rule.id) })}
      >
        <Trash2 size={15} aria-hidden />
      </Button>
      {check.kind === 'by hand' && (
        <TickField label="Done" value={check.done} onValue={(done) => set({ check: { ...check, done } })} />
      )}
      {check.kind === 'footprint' && (
        <>
          <MeasureField
            label="One side"
            value={check.widthMm}
            {...fieldLimits('limits.rules.check.widthMm')}
            onValue={(widthMm) => set({ check: { ...check, widthMm } })}
          />
          <MeasureField
            label="Other side"
            value={check.depthMm}
            {...fieldLimits('limits.rules.check.depthMm')}
            onValue={(depthMm) => set({ check: { ...check, depthMm } })}
          />
        </>
      )}
      {check.kind === 'height' && (
        <MeasureField
          label="No taller than"
          value={check.mostMm}
          {...fieldLimits('limits.rules.check.mostMm')}
          onValue={(mostMm) => set({ check: { ...check, mostMm } })}
        />
      )}
      {check.kind === 'present' && (
        <>
          <ChoiceField
            label="What"
            value={check.what}
            options={presences}
            onValue={(what) => set({ check: { ...check, what } })}
          />
          <NumberField
            label="At least"
            whole
            value={check.least}
            {...fieldLimits('limits.rules.check.least')}
            onValue={(least) => set({ check: { ...check, least } })}
          />
        </>
      )}
      {check.kind === 'zone' && (
        <ChoiceField
          label="With"
          value={check.cover}
          options={covers}
          onValue={(cover) => set({ check: { ...check, cover } })}
        />
      )}
      {check.kind === 'worn' && (
        <ChoiceField
          label="Of"
          value={check.operation}
          options={operations}
          onValue={(operation) => set({ check: { ...check, operation } })}
        />
      )}
      {'leastPercent' in check && (
        <NumberField
          label="At least"
          unit="%"
          value={check.leastPercent}
          {...fieldLimits('limits.rules.check.leastPercent')}
          onValue={(leastPercent) => set({ check: { ...check, leastPercent } })}
        />
      )}
      {check.kind === 'finished by' && (
        <DayField label="Day" value={check.date} onValue={(day) => day && set({ check: { ...check, date: day } })} />
      )}
    </li>
  );
}
