import { testPieceOf, USUAL_TEST_PIECE_MM } from '@hosket/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { addDerived } from '../../store/library.ts';
import { projectNow } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { MeasureField } from '../../ui/Field.tsx';
import { Word } from '../../ui/help/Word.tsx';
import { usePlan } from '../../worker/planStore.ts';

/** A small project to try the work on, derived from this one. */
export function TestPiece() {
  const report = usePlan((state) => state.report);
  const [sizeMm, setSize] = useState(USUAL_TEST_PIECE_MM);
  const go = useNavigate();
  const derive = async () => {
    if (report) go(`/project/${await addDerived(testPieceOf(projectNow(), report, sizeMm))}/ground`);
  };
  return (
    <section aria-label="Test piece" className="mt-5">
      <h2 className="mb-1 text-base">
        <Word>Test piece</Word>
      </h2>
      <p className="mb-2 max-w-prose text-sm text-muted">
        A small project of its own with a strip of every cover, a joint and a slope as steep as this ground is in the
        mean, from the same sheets: try glue, skin and colour on it before they go on the real thing.
      </p>
      <div className="flex items-end gap-2">
        <div className="w-[130px]">
          <MeasureField label="Its side" value={sizeMm} least={40} most={400} onValue={setSize} />
        </div>
        <Button disabled={!report} onClick={derive}>
          Derive a test piece
        </Button>
      </div>
    </section>
  );
}
