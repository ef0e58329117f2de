import { type Finding, findingIn, moveCoat, overrule, putRecipe, settleByHand, withThinSheets } from '@hosket/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { edit } from '../store/projectStore.ts';
import { pickItem, showPlace, useView } from '../store/viewStore.ts';

export const severityWords: Record<Finding['severity'], string> = {
  stop: 'Stops the work',
  warn: 'Wants attention',
  note: 'Note',
};

const link = 'cursor-pointer text-clay underline';

/** One finding: what, why, what to do; where it can be mended by moving a coat, a button that does; and the way to go against it, with a note. */
export function FindingItem({ finding, whole }: { finding: Finding; whole?: boolean }) {
  const { severity, reason, itemId, at, coat, mend, way, glue, stack, thin, overruled } = finding;
  const { message, remedy, place } = findingIn(
    finding,
    useView((view) => view.units),
  );
  const go = useNavigate();
  const to = (band: string) => go(`../${band}`, { relative: 'path' });
  const counts = overruled === undefined;
  return (
    <li
      className={`mb-1.5 border-l-[3px] bg-plaster px-2.5 py-1 text-sm ${counts && severity === 'stop' ? 'border-plum' : counts && severity === 'warn' ? 'border-ochre' : 'border-line'}`}
    >
      <strong className={counts && severity === 'stop' ? 'text-plum' : ''}>
        {counts ? severityWords[severity] : 'Ignored'}:
      </strong>{' '}
      {message} <span className="text-muted">{remedy}</span>
      {whole && <span className="block text-xs text-muted">At {place}.</span>}
      {reason && <span className="block text-xs text-muted">Why: {reason}</span>}
      {overruled !== undefined && <span className="block text-xs">Your note: {overruled}</span>}
      <span className="mt-0.5 flex flex-wrap gap-x-3 text-xs">
        {itemId && (
          <Lead
            text="Show it"
            onGo={() => {
              pickItem(itemId);
              to('ground');
            }}
          />
        )}
        {at && (
          <Lead
            text="Show the place"
            onGo={() => {
              showPlace([at[0], at[1]]);
              to('surface');
            }}
          />
        )}
        {coat && whole && (
          <Lead
            text="Show the recipe"
            onGo={() => {
              useView.setState({ surfacePage: 'zones' });
              to('surface');
            }}
          />
        )}
        {mend && counts && (
          <button
            type="button"
            className={link}
            onClick={() =>
              edit((p) => {
                const recipe = p.recipes.find(({ id }) => id === mend.recipe);
                return recipe ? putRecipe(p, moveCoat(recipe, mend.coat, mend.to)) : p;
              })
            }
          >
            Move it there
          </button>
        )}
        {way && counts && (
          <button
            type="button"
            className={link}
            onClick={() => edit((p) => ({ ...p, stacking: { ...p.stacking, school: way, wish: 'least cost' } }))}
          >
            Build it so: {way}
          </button>
        )}
        {thin && counts && (
          <button type="button" className={link} onClick={() => edit(withThinSheets)}>
            Plan it in card and cork
          </button>
        )}
        {stack && counts && (
          <button
            type="button"
            className={link}
            onClick={() =>
              edit((p) => settleByHand({ ...p, stacking: { ...p.stacking, school: stack.school } }, stack.layers))
            }
          >
            Build that stack
          </button>
        )}
        {glue && counts && (
          <button
            type="button"
            className={link}
            onClick={() => edit((p) => ({ ...p, stacking: { ...p.stacking, glue } }))}
          >
            Glue it so: {glue}
          </button>
        )}
        <Ignore finding={finding} />
      </span>
    </li>
  );
}

const Lead = ({ text, onGo }: { text: string; onGo: () => void }) => (
  <button type="button" className={link} onClick={onGo}>
    {text}
  </button>
);

/** Goes against a finding with a note, or lets it count again. What stops the work cannot be overruled. */
function Ignore({ finding }: { finding: Finding }) {
  const [open, setOpen] = useState(false);
  const [note, setNote] = useState('');
  const { code, place, message, severity, overruled } = finding;
  if (overruled !== undefined)
    return (
      <button
        type="button"
        className={link}
        aria-label={`Let it count again: ${message}`}
        onClick={() => edit((p) => overrule(p, { code, place }, null))}
      >
        Let it count again
      </button>
    );
  if (severity === 'stop') return null;
  if (!open)
    return (
      <button
        type="button"
        className={link}
        aria-label={`Ignore, with a note: ${message}`}
        onClick={() => setOpen(true)}
      >
        Ignore, with a note
      </button>
    );
  return (
    <form
      className="flex w-full items-end gap-2"
      aria-label={`Ignore, with a note: ${message}`}
      onSubmit={(event) => {
        event.preventDefault();
        if (note.trim()) edit((p) => overrule(p, { code, place }, note.trim()));
      }}
    >
      <label className="min-w-0 flex-1 text-xs text-muted">
        Why you mean it so
        <input
          className="block w-full rounded-md border border-line bg-sheet px-2 py-0.5 text-sm text-graphite"
          value={note}
          maxLength={500}
          required
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      <button type="submit" className={`${link} py-1`}>
        Keep the note
      </button>
    </form>
  );
}
