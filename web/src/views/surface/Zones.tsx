import {
  type Cover,
  covers,
  decimals,
  everywhere,
  freeId,
  type PlanReport,
  recipeOf,
  type Suggestion,
  type ZoneRule,
} from '@hosket/core';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { PlanView } from '../../instruments/plan/PlanView.tsx';
import { coverBands } from '../../instruments/textures/covers.ts';
import { Swatch } from '../../instruments/textures/Swatch.tsx';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickItem, pickZone, usePicked } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, WordsField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { askSuggestion, dropSuggestion, usePlan } from '../../worker/planStore.ts';
import { RuleConditions } from './RuleConditions.tsx';
import { zoneKeyOf } from './wearers.ts';
import { whenWords } from './whenWords.ts';
import { ZonesOnPlan } from './ZonesOnPlan.tsx';

type ZoneRead = PlanReport['zones'][number];

/** What covers which part of the ground: patches, then rules in their order, then the rest; and what the rules of the trade would propose. */
export function Zones() {
  const { zones } = useProject();
  const { report, suggestion } = usePlan();
  const [open, setOpen] = useState<string | null>(null);
  const reads = report?.zones ?? [];
  const add = () => {
    const id = freeId('zone', zones.rules);
    const rule: ZoneRule = {
      id,
      name: '',
      cover: 'rock',
      recipe: null,
      when: { ...everywhere(), slope: { from: 40, to: null } },
    };
    edit((p) => ({ ...p, zones: { ...p.zones, rules: [...p.zones.rules, rule] } }));
    setOpen(id);
    pickZone(id);
  };
  return (
    <section aria-label="Zones" className="min-w-0">
      <h2 className="sr-only">What covers what</h2>
      <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-2">
        <div data-drawing className="relative h-[350px] border max-[999px]:h-[260px] border-line">
          <PlanView shading="cover" marks={false} over={<ZonesOnPlan zones={reads} />} />
        </div>
        {suggestion ? (
          <Proposed suggestion={suggestion} />
        ) : (
          <ul className="text-sm" aria-label="Zones of the ground">
            {reads.map((read) => (
              <Zone
                key={read.id ?? 'rest'}
                read={read}
                open={open === read.id}
                onOpen={() => setOpen(open === read.id ? null : read.id)}
              />
            ))}
            {report?.dressed.map(({ id, name, trueMm2 }) => (
              <Side key={id} name={name} zone={zoneKeyOf(id)} trueMm2={trueMm2} />
            ))}
          </ul>
        )}
        {!suggestion && (
          <div className="flex flex-wrap gap-2">
            <Button onClick={askSuggestion}>Suggest by the rules of the trade</Button>
            <Button onClick={add}>Add a rule</Button>
          </div>
        )}
      </div>
    </section>
  );
}

const Sample = ({ cover }: { cover: Cover }) => <Swatch band={coverBands[covers.indexOf(cover)]} />;

function Zone({ read, open, onOpen }: { read: ZoneRead; open: boolean; onOpen: () => void }) {
  const say = useSay();
  const go = useNavigate();
  const project = useProject();
  const { zones } = project;
  const key = zoneKeyOf(read.id);
  const picked = usePicked((state) => state.zone) === key;
  const rule = zones.rules.find(({ id }) => id === read.id);
  const recipe = recipeOf(project, read.recipe);
  return (
    <li className={`border-b border-line ${picked ? 'border-l-[3px] border-l-clay pl-2' : ''}`}>
      <div className="flex items-center gap-2">
        <button
          type="button"
          aria-pressed={picked}
          className="flex min-w-0 flex-1 cursor-pointer items-center gap-2 py-1 hover:text-clay"
          onClick={() => pickZone(key)}
        >
          <Sample cover={read.cover} />
          <span className="min-w-0 flex-1 text-left">
            {read.name}
            <span className="block truncate text-xs text-muted">
              {recipe.name}; {read.name === read.cover ? '' : `${read.cover}, `}
              {read.by === 'outline' ? 'by its outline' : rule ? whenWords(rule.when, say.mm) : 'what is left'}
            </span>
          </span>
          <span className="text-right">
            <Figure text={`${decimals(read.percent, 1)} %`} />
            <span className="figure block text-xs text-muted">{say.area(read.trueMm2)}</span>
          </span>
        </button>
        {read.by !== 'rest' && (
          <button
            type="button"
            className="cursor-pointer px-1 text-xs text-clay underline"
            aria-label={read.by === 'rule' ? `Where ${read.name} lies` : `Show ${read.name} on the ground`}
            aria-expanded={read.by === 'rule' ? open : undefined}
            onClick={() => {
              if (read.by === 'rule') return onOpen();
              pickItem(read.id);
              go('../ground', { relative: 'path' });
            }}
          >
            where
          </button>
        )}
      </div>
      {read.by === 'rest' && picked && (
        <div className="mb-2 max-w-[220px]">
          <ChoiceField
            label="Everything else"
            value={zones.rest}
            options={covers}
            onValue={(rest) => edit((p) => ({ ...p, zones: { ...p.zones, rest } }))}
          />
        </div>
      )}
      {open && rule && <RuleFields rule={rule} rules={zones.rules} />}
    </li>
  );
}

/** The sides of the base or the walls of the box: no ground, but they may wear a recipe. */
function Side({ name, zone, trueMm2 }: { name: string; zone: string; trueMm2: number }) {
  const say = useSay();
  const project = useProject();
  const picked = usePicked((state) => state.zone) === zone;
  const worn = zone === 'edges' ? project.surface.edges : project.surface.walls;
  return (
    <li className={`border-b border-line ${picked ? 'border-l-[3px] border-l-clay pl-2' : ''}`}>
      <button
        type="button"
        aria-pressed={picked}
        className="flex w-full cursor-pointer items-center gap-2 py-1 hover:text-clay"
        onClick={() => pickZone(zone)}
      >
        <span className="min-w-0 flex-1 text-left">
          {name}
          <span className="block text-xs text-muted">{worn === null ? 'nothing' : recipeOf(project, worn).name}</span>
        </span>
        <span className="figure text-xs text-muted">{say.area(trueMm2)}</span>
      </button>
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
    <div className="border-l-[3px] border-ochre pl-3 text-sm">
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
                {by === 'rule' &&
                  `; ${whenWords(zones.rules.find((rule) => rule.id === id)?.when ?? everywhere(), say.mm)}`}
              </span>
            </span>
            <Figure text={`${decimals(percent, 1)} %`} />
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
