import { type Clash, type Point, type Polygon, type Ring, roomiest } from '@hosket/core';
import { type KeyboardEvent, useMemo, useRef, useState } from 'react';
import { pickPiece, usePicked } from '../../store/viewStore.ts';
import { linePath, piecePath } from '../handling/paths.ts';
import { useDrag } from '../handling/useDrag.ts';
import { useSize } from '../handling/useSize.ts';
import { benchLayout, type OnBench } from './benchLayout.ts';

/** A sheet or offcut with what lies on it. */
export interface BenchBed {
  id: string;
  name: string;
  outline: Ring;
  left: readonly Ring[];
  pieces: readonly BenchPiece[];
}

export interface BenchPiece {
  piece: string;
  turnDegrees: number;
  xMm: number;
  yMm: number;
  pinned: boolean;
  cut: boolean;
  lies: Polygon;
}

interface Props {
  beds: readonly BenchBed[];
  clashes: readonly Clash[];
  /** Nothing can be moved while a search goes on. */
  fixed: boolean;
  /** Puts a piece down somewhere; `null` says where it would clash meanwhile. */
  onPlace: (piece: string, bed: string, xMm: number, yMm: number, turnDegrees: number) => void;
  /** What a piece would clash with there. */
  clashesAt: (piece: BenchPiece, bed: string, by: Point) => boolean;
  /** Each bed's own line under its name. */
  remark: (bed: BenchBed) => string;
}

const TURN_STEP = 15;
/** Width of a letter of a sheet's name, pixels. */
const LETTER_PX = 6.1;

/** A sheet's name in so much room; which sheet of its kind it is stays whole. */
function shortened(name: string, roomPx: number): string {
  const letters = Math.floor(roomPx / LETTER_PX);
  if (name.length <= letters) return name;
  const at = name.lastIndexOf(', ');
  const end = at < 0 ? '' : name.slice(at + 1);
  return `${name.slice(0, Math.max(2, letters - end.length - 1))}…${end}`;
}

/** Sheets and offcuts as they lie on a bench, all at one scale, with the pieces on them; pieces are dragged, or moved by keys. */
export function SheetBench({ beds, clashes, fixed, onPlace, clashesAt, remark }: Props) {
  const [room, width, height] = useSize();
  const drawing = useRef<SVGSVGElement>(null);
  const picked = usePicked((state) => state.piece);
  const [held, setHeld] = useState<{ piece: string; bed: string; by: Point; wrong: boolean } | null>(null);
  const bench = benchLayout(beds, { widthPx: Math.max(1, width), heightPx: Math.max(height - 8, width * 0.3, 1) });
  const scale = width > 0 ? bench.scale : 0;
  const at = new Map(bench.beds.map((bed) => [bed.id, bed]));
  const [w, h] = [bench.widthMm * scale, bench.heightMm * scale];

  /** From the pointer to mm of the drawing. */
  const onBench = (clientX: number, clientY: number): Point => {
    const box = drawing.current?.getBoundingClientRect();
    return box ? [(clientX - box.left) / scale, (clientY - box.top) / scale] : [0, 0];
  };
  const bedUnder = ([x, y]: Point): OnBench | undefined =>
    bench.beds.find((bed) => x >= bed.x && x <= bed.x + bed.widthMm && y >= bed.y && y <= bed.y + bed.depthMm);

  const key = (event: KeyboardEvent, bed: BenchBed, piece: BenchPiece) => {
    if (fixed || event.ctrlKey || event.metaKey || event.altKey) return;
    const step = event.shiftKey ? 10 : 1;
    const moves: Record<string, Point> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    };
    const by = moves[event.key];
    const turn = event.key === ',' ? TURN_STEP : event.key === '.' ? -TURN_STEP : 0;
    if (!by && !turn) return;
    event.preventDefault();
    const [dx, dy] = by ?? [0, 0];
    onPlace(piece.piece, bed.id, piece.xMm + dx, piece.yMm + dy, piece.turnDegrees + turn);
  };

  return (
    <div ref={room} className="min-h-[220px] flex-1 overflow-auto">
      {scale > 0 && (
        <svg
          ref={drawing}
          width={w}
          height={h}
          overflow="visible"
          role="group"
          aria-label="Sheets and offcuts with the pieces on them"
        >
          {beds.map((bed) => {
            const place = at.get(bed.id);
            if (!place) return null;
            const draw = ([x, y]: Point): Point => [(place.x + x) * scale, (place.y + place.depthMm - y) * scale];
            return (
              <g key={bed.id} role="group" aria-label={bed.name}>
                <text x={place.x * scale} y={place.y * scale - 4} fontSize={11.5} fill="var(--graphite)">
                  {shortened(bed.name, place.widthMm * scale - 70)}
                  <tspan fill="var(--muted)">{remark(bed) && ` · ${remark(bed)}`}</tspan>
                </text>
                <path d={linePath(bed.outline, draw, true)} fill="var(--foam-b)" stroke="var(--muted)" />
                {bed.left.map((ring) => (
                  <path
                    key={ring.slice(0, 3).join()}
                    d={linePath(ring, draw, true)}
                    fill="var(--foam-a)"
                    stroke="var(--muted)"
                    strokeDasharray="4 3"
                    strokeWidth={0.8}
                  />
                ))}
              </g>
            );
          })}
          {beds.flatMap((bed) =>
            bed.pieces.map((piece) => (
              <Piece
                key={piece.piece}
                piece={piece}
                bedName={bed.name}
                place={at.get(bed.id) as OnBench}
                scale={scale}
                picked={picked === piece.piece}
                clashing={clashes.some((clash) => clash.piece === piece.piece || clash.with === piece.piece)}
                fixed={fixed}
                held={held?.piece === piece.piece ? held : null}
                onKey={(event) => key(event, bed, piece)}
                onHold={(clientX, clientY, start) => {
                  const now = onBench(clientX, clientY);
                  const from = onBench(...start);
                  const by: Point = [now[0] - from[0], from[1] - now[1]];
                  const under = bedUnder(now) ?? (at.get(bed.id) as OnBench);
                  const own = at.get(bed.id) as OnBench;
                  // From the measures of its own bed to those of the bed under the pointer.
                  const across: Point = [
                    by[0] + own.x - under.x,
                    by[1] + under.y + under.depthMm - own.y - own.depthMm,
                  ];
                  setHeld({ piece: piece.piece, bed: under.id, by: across, wrong: clashesAt(piece, under.id, across) });
                }}
                onDrop={() => {
                  if (held)
                    onPlace(piece.piece, held.bed, piece.xMm + held.by[0], piece.yMm + held.by[1], piece.turnDegrees);
                  setHeld(null);
                }}
                onGiveUp={() => setHeld(null)}
                heldOn={held?.piece === piece.piece ? (at.get(held.bed) ?? null) : null}
              />
            )),
          )}
        </svg>
      )}
    </div>
  );
}

interface PieceProps {
  piece: BenchPiece;
  bedName: string;
  place: OnBench;
  scale: number;
  picked: boolean;
  clashing: boolean;
  fixed: boolean;
  held: { by: Point; wrong: boolean } | null;
  heldOn: OnBench | null;
  onKey: (event: KeyboardEvent) => void;
  onHold: (clientX: number, clientY: number, start: [number, number]) => void;
  onDrop: () => void;
  onGiveUp: () => void;
}

function Piece(props: PieceProps) {
  const { piece, bedName, place, scale, picked, clashing, fixed, held, heldOn, onKey, onHold, onDrop, onGiveUp } =
    props;
  const drag = useDrag<[number, number]>({
    begin: (event) => {
      pickPiece(piece.piece);
      return fixed || piece.cut ? null : [event.clientX, event.clientY];
    },
    move: (start, event) => onHold(event.clientX, event.clientY, start),
    end: onDrop,
    cancel: onGiveUp,
  });
  const on = heldOn ?? place;
  const by = held?.by ?? [0, 0];
  const draw = ([x, y]: Point): Point => [(on.x + x + by[0]) * scale, (on.y + on.depthMm - y - by[1]) * scale];
  const label = useMemo(() => roomiest(piece.lies).at, [piece.lies]);
  const [tx, ty] = draw(label);
  const wrong = held ? held.wrong : clashing;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={picked}
      aria-label={`Piece ${piece.piece} on ${bedName}${wrong ? ', clashes' : ''}${piece.pinned ? ', pinned' : ''}${piece.cut ? ', cut' : ''}`}
      onFocus={() => pickPiece(piece.piece)}
      onKeyDown={onKey}
      className={fixed || piece.cut ? 'cursor-pointer outline-none' : 'cursor-move outline-none'}
      style={{ touchAction: 'none' }}
      {...drag.handlers}
    >
      <path
        d={piecePath([piece.lies], draw)}
        fillRule="evenodd"
        fill={piece.cut ? 'var(--line)' : 'var(--skin)'}
        stroke={wrong ? 'var(--plum)' : picked ? 'var(--clay)' : 'var(--graphite)'}
        strokeWidth={wrong || picked ? 2.4 : 1.1}
        strokeDasharray={wrong ? '6 3' : undefined}
      />
      <text x={tx} y={ty + 4} textAnchor="middle" fontSize={12.5} fontWeight={600} fill="var(--graphite)">
        {piece.piece}
        {piece.pinned ? ' ●' : ''}
        {piece.cut ? ' ✓' : ''}
      </text>
    </g>
  );
}
