import { type Cover, covers, freeId, type PlanReport, type Suggestion, type ZoneRule } from '@hosket/core';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { coverBands } from '../../instruments/covers.ts';
import { PlanView } from '../../instruments/PlanView.tsx';
import { Swatch } from '../../instruments/Swatch.tsx';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickItem } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, WordsField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { askSuggestion, dropSuggestion, usePlan } from '../../worker/planStore.ts';
import { RuleConditions } from './RuleConditions.tsx';
import { whenWords } from './whenWords.ts';

type ZoneRead = PlanReport['zones'][number];

/** What covers which part of the ground: patches, then rules in their order, then the rest; and what the rules of the trade would propose. */
export function Zones() {
  const { zones } = useProject();
  const { report, suggestion } = usePlan();
  const [open, setOpen] = useState<string | null>(null);
  const reads = report?.zones ?? [];
  const add = () => {
    const id = freeId('zone', zones.rules);
    const rule: ZoneRule = { id, name: '', cover: 'rock', when: { ...nothing, slope: { from: 40, to: null } } };
    edit((p) => ({ ...p, zones: { ...p.zones, rules: [...p.zones.rules, rule] } }));
    setOpen(id);
  };
  return (
    <section aria-label="Zones" className="mb-4">
      <div className="mb-1 flex flex-wrap items-center gap-2">
        <h2 className="text-base">What covers what</h2>
        <span className="flex-1" />
        <Button onClick={askSuggestion}>Suggest by the rules of the trade</Button>
        <Button onClick={add}>Add a rule</Button>
      </div>
      <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,4fr)] gap-4 max-[999px]:grid-cols-1">
        <div className="relative h-[270px] border border-line">
          <PlanView shading="cover" marks={false} />
        </div>
        {suggestion ? (
          <Proposed suggestion={suggestion} />
        ) : (
          <ul className="max-h-[270px] overflow-y-auto text-sm" aria-label="Zones of the ground">
            {reads.map((read) => (
              <Zone
                key={read.id ?? 'rest'}
                read={read}
                open={open === read.id}
                onOpen={() => setOpen(open === read.id ? null : read.id)}
              />
            ))}
          </ul>
        )}
      </div>
    </section>
  );
}

const nothing: ZoneRule['when'] = {
  slope: null,
  height: null,
  water: null,
  wall: null,
  rock: null,
  way: null,
  wetness: null,
  shade: null,
};

const Sample = ({ cover }: { cover: Cover }) => <Swatch band={coverBands[covers.indexOf(cover)]} />;

function Zone({ read, open, onOpen }: { read: ZoneRead; open: boolean; onOpen: () => void }) {
  const say = useSay();
  const go = useNavigate();
  const { zones } = useProject();
  const rule = zones.rules.find(({ id }) => id === read.id);
  const shown = (
    <>
      <Sample cover={read.cover} />
      <span className="min-w-0 flex-1 text-left">
        {read.name}
        <span className="block text-xs text-muted">
          {read.name === read.cover ? '' : `${read.cover}; `}
          {read.by === 'outline' ? 'by its outline' : rule ? whenWords(rule.when, say.mm) : 'what is left'}
        </span>
      </span>
      <span className="text-right">
        <Figure text={`${read.percent.toFixed(1)} %`} />
        <span className="figure block text-xs text-muted">{say.area(read.trueMm2)}</span>
      </span>
    </>
  );
  const look = 'flex w-full cursor-pointer items-center gap-2 py-1 hover:text-clay';
  return (
    <li className="border-b border-line">
      {read.by === 'rest' ? (
        <div className="flex items-center gap-2 py-1">
          <Sample cover={read.cover} />
          <div className="flex-1">
            <ChoiceField
              label="Everything else"
              value={zones.rest}
              options={covers}
              onValue={(rest) => edit((p) => ({ ...p, zones: { ...p.zones, rest } }))}
            />
          </div>
          <Figure text={`${read.percent.toFixed(1)} %`} />
        </div>
      ) : read.by === 'outline' ? (
        <button
          type="button"
          className={look}
          onClick={() => {
            pickItem(read.id);
            go('../ground', { relative: 'path' });
          }}
        >
          {shown}
        </button>
      ) : (
        <button type="button" className={look} aria-expanded={open} onClick={onOpen}>
          {shown}
        </button>
      )}
      {open && rule && <RuleFields rule={rule} rules={zones.rules} />}
    </li>
  );
}

function RuleFields({ rule, rules }: { rule: ZoneRule; rules: readonly ZoneRule[] }) {
  const set = (next: readonly ZoneRule[]) => edit((p) => ({ ...p, zones: { ...p.zones, rules: [...next] } }));
  const change = (by: Partial<ZoneRule>) =>
    set(rules.map((other) => (other.id === rule.id ? { ...other, ...by } : other)));
  const at = rules.findIndex(({ id }) => id === rule.id);
  const move = (by: number) => {
    const next = rules.filter(({ id }) => id !== rule.id);
    next.splice(at + by, 0, rule);
    set(next);
  };
  const name = rule.name || rule.cover;
  return (
    <div className="mb-2 grid grid-cols-2 gap-2 border-l-[3px] border-line pl-2">
      <WordsField label="Name of the zone" value={rule.name} onValue={(text) => change({ name: text })} />
      <ChoiceField label="Cover" value={rule.cover} options={covers} onValue={(cover) => change({ cover })} />
      <RuleConditions when={rule.when} onWhen={(when) => change({ when })} />
      <div className="col-span-2 flex gap-1">
        <Button tone="quiet" disabled={at === 0} aria-label={`Ask ${name} earlier`} onClick={() => move(-1)}>
          <ArrowUp size={14} aria-hidden /> Ask earlier
        </Button>
        <Button
          tone="quiet"
          disabled={at === rules.length - 1}
          aria-label={`Ask ${name} later`}
          onClick={() => move(1)}
        >
          <ArrowDown size={14} aria-hidden /> Ask later
        </Button>
        <Button
          tone="quiet"
          aria-label={`Remove zone ${name}`}
          onClick={() => set(rules.filter(({ id }) => id !== rule.id))}
        >
          <Trash2 size={14} aria-hidden /> Remove
        </Button>
      </div>
    </div>
  );
}

/** What the rules of the trade propose, to be taken in one step or left. */
function Proposed({ suggestion: { zones, reads } }: { suggestion: Suggestion }) {
  const say = useSay();
  return (
    <div className="max-h-[270px] overflow-y-auto border-l-[3px] border-ochre pl-3 text-sm">
      <p className="mb-1">
        By the rules of the trade this ground would wear the following. It replaces the rules there are; patches stay.
      </p>
      <ul aria-label="Suggested zones" className="mb-2">
        {reads.map(({ id, name, cover, percent, by }) => (
          <li key={id ?? 'rest'} className="flex items-center gap-2 border-b border-line py-0.5">
            <Sample cover={cover} />
            <span className="min-w-0 flex-1">
              {name}
              <span className="block text-xs text-muted">
                {cover}
                {by === 'rule' && `; ${whenWords(zones.rules.find((rule) => rule.id === id)?.when ?? nothing, say.mm)}`}
              </span>
            </span>
            <Figure text={`${percent.toFixed(1)} %`} />
          </li>
        ))}
      </ul>
      <div className="flex gap-2">
        <Button tone="main" onClick={() => edit((p) => ({ ...p, zones }))}>
          Take these zones
        </Button>
        <Button onClick={dropSuggestion}>Leave it</Button>
      </div>
    </div>
  );
}
