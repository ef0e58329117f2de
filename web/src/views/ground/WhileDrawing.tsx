import { kindWords } from '@hosket/core';
import { enoughPoints, finishLine, stopDrawing, useDrawing } from '../../instruments/plan/drawing.ts';
import { Button } from '../../ui/Button.tsx';

const how = {
  point: 'Click where it is.',
  line: 'Drag from end to end, or click for points; double-click or Enter ends it.',
  outline: 'Drag from corner to corner, or click for points; double-click or Enter closes it.',
};

/** While something is drawn: how, and how to end it, in the place of what the plan shows, so that nothing moves. */
export function WhileDrawing() {
  const { kind, points } = useDrawing();
  if (!kind) return null;
  const count = points.length;
  const { title, drawn, about } = kindWords[kind];
  const enough = count >= enoughPoints(kind);
  return (
    <div className="flex min-w-0 flex-1 items-center gap-2 max-[999px]:flex-wrap" role="toolbar" aria-label="Drawing">
      <span className="min-w-0 flex-1 text-sm min-[1000px]:truncate" title={about}>
        <strong>{title}</strong>: {how[drawn]} {count > 0 && `${count} ${count === 1 ? 'point' : 'points'}.`}
      </span>
      {kind === 'contour' && (
        <>
          <Button className="!min-h-6" tone="main" disabled={count < 3} onClick={() => finishLine(true)}>
            Close the line
          </Button>
          <Button className="!min-h-6" disabled={count < 2} onClick={() => finishLine(false)}>
            Leave it open
          </Button>
        </>
      )}
      {kind !== 'contour' && drawn !== 'point' && (
        <Button className="!min-h-6" tone="main" disabled={!enough} onClick={() => finishLine(true)}>
          {drawn === 'outline' ? 'Close the outline' : 'End the line'}
        </Button>
      )}
      <Button className="!min-h-6" onClick={stopDrawing}>
        Give up
      </Button>
    </div>
  );
}
