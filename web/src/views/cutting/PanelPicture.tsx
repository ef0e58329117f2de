import { boundsOf, type Panel, panelShape } from '@hosket/core';
import { piecePath } from '../../instruments/handling/paths.ts';

const WIDE = 220;
const HIGH = 130;

/** An upright part as it is cut, seen from in front. */
export function PanelPicture({ panel }: { panel: Panel }) {
  const shapes = panelShape(panel);
  const [x0, y0, x1, y1] = boundsOf(
    shapes.length
      ? shapes.flatMap(({ outer }) => outer)
      : [
          [0, 0],
          [1, 1],
        ],
  );
  const scale = Math.min((WIDE - 8) / Math.max(1, x1 - x0), (HIGH - 8) / Math.max(1, y1 - y0));
  const path = piecePath(shapes, ([x, y]) => [4 + (x - x0) * scale, HIGH - 4 - (y - y0) * scale]);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="w-full self-start border border-line bg-paper"
      role="img"
      aria-label={`${panel.name || 'Part'} as it is cut: ${shapes.length} ${shapes.length === 1 ? 'piece' : 'pieces'}`}
    >
      <path d={path} fill="var(--foam-a)" fillRule="evenodd" stroke="var(--graphite)" />
    </svg>
  );
}
