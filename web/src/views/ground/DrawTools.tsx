import {
  hollows,
  type ItemKind,
  kindWords,
  laidThings,
  landformKinds,
  markKinds,
  rowKinds,
  standing,
} from '@hosket/core';
import { beginDrawing, enoughPoints, finishLine, stopDrawing, useDrawing } from '../../instruments/plan/drawing.ts';
import { Button } from '../../ui/Button.tsx';

/** Everything that can be drawn, by its name at the bench: heights, landforms, and things laid in. While one is drawn, how to end it. */
export function DrawTools() {
  const { kind, points } = useDrawing();
  if (kind) return <WhileDrawing kind={kind} count={points.length} />;
  return (
    <div className="flex flex-wrap gap-x-3 gap-y-0.5">
      <Row name="Heights" kinds={markKinds} />
      <Row name="Laid in" kinds={laidThings} />
      <Row name="Cover" kinds={['patch']} />
      <Row name="Standing" kinds={standing} />
      <Row name="In rows" kinds={rowKinds} />
      <Row name="Hollows" kinds={hollows} />
      <Row name="Landforms" kinds={landformKinds} />
    </div>
  );
}

function Row({ name, kinds }: { name: string; kinds: readonly ItemKind[] }) {
  return (
    <div role="toolbar" aria-label={name} className="flex flex-wrap items-center">
      <span className="min-w-[60px] text-xs text-muted">{name}</span>
      {kinds.map((kind) => (
        <Button
          key={kind}
          tone="quiet"
          className="!min-h-6 !px-1 text-xs"
          title={kindWords[kind].about}
          onClick={() => beginDrawing(kind)}
        >
          {kindWords[kind].title}
        </Button>
      ))}
    </div>
  );
}

const how = {
  point: 'Click where it is.',
  line: 'Click for points; double-click or Enter ends it.',
  outline: 'Click for points; double-click or Enter closes it.',
};

function WhileDrawing({ kind, count }: { kind: ItemKind; count: number }) {
  const { title, drawn, about } = kindWords[kind];
  const enough = count >= enoughPoints(kind);
  return (
    <div className="flex min-h-[52px] flex-wrap content-start items-center gap-2" role="toolbar" aria-label="Drawing">
      <span className="text-sm">
        <strong>{title}</strong>: {about} {how[drawn]} {count > 0 && `${count} ${count === 1 ? 'point' : 'points'}.`}
      </span>
      {kind === 'contour' && (
        <>
          <Button tone="main" disabled={count < 3} onClick={() => finishLine(true)}>
            Close the line
          </Button>
          <Button disabled={count < 2} onClick={() => finishLine(false)}>
            Leave it open
          </Button>
        </>
      )}
      {kind !== 'contour' && drawn !== 'point' && (
        <Button tone="main" disabled={!enough} onClick={() => finishLine(true)}>
          {drawn === 'outline' ? 'Close the outline' : 'End the line'}
        </Button>
      )}
      <Button onClick={stopDrawing}>Give up</Button>
    </div>
  );
}
