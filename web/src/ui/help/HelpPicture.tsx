/** Small drawings beside what is told of a word: sections and plans in the stroke of the tools' signs. */
import type { ReactNode } from 'react';
import type { HelpPictureId } from './tradeWords.ts';

const foam = { fill: 'var(--foam-a)' };
const other = { fill: 'var(--foam-b)' };
const board = <rect x={6} y={62} width={188} height={6} fill="var(--board)" />;
const sheets = (
  <>
    <rect x={10} y={46} width={180} height={16} {...foam} />
    <rect x={10} y={30} width={120} height={16} {...other} />
    <rect x={10} y={14} width={64} height={16} {...foam} />
    {board}
  </>
);
const strong = { stroke: 'var(--clay)', strokeWidth: 2, fill: 'none' };
const Say = ({ x, y, end, children }: { x: number; y: number; end?: boolean; children: ReactNode }) => (
  <text x={x} y={y} fontSize={10} fill="var(--graphite)" stroke="none" textAnchor={end ? 'end' : 'start'}>
    {children}
  </text>
);

const pictures: Readonly<Record<HelpPictureId, ReactNode>> = {
  stack: (
    <>
      {sheets}
      <Say x={196} y={26} end>
        three layers
      </Say>
    </>
  ),
  contour: (
    <>
      <path d="M20 60C30 10 80 4 110 18S190 20 180 58" fill="none" />
      <path d="M60 60C64 34 90 26 110 36S142 40 138 60" {...strong} />
      <Say x={92} y={28}>
        20 mm
      </Say>
    </>
  ),
  kerf: (
    <>
      <rect x={20} y={20} width={76} height={40} {...foam} />
      <rect x={104} y={20} width={76} height={40} {...foam} />
      <path d="M96 12H104M96 8V16M104 8V16" {...strong} />
      <Say x={110} y={15}>
        kerf
      </Say>
    </>
  ),
  joint: (
    <>
      {sheets}
      <path d="M10 46H190M10 30H130" {...strong} />
    </>
  ),
  seam: (
    <>
      <rect x={20} y={18} width={94} height={44} {...foam} />
      <rect x={114} y={18} width={66} height={44} {...other} />
      <path d="M114 18V62" {...strong} />
    </>
  ),
  sliver: (
    <>
      <rect x={20} y={14} width={150} height={40} {...foam} />
      <path d="M20 60H180V56Z" fill="var(--clay)" stroke="var(--clay)" />
    </>
  ),
  hollow: (
    <>
      <path d="M10 62V22L60 10H190V62Z" {...foam} />
      <rect x={50} y={34} width={100} height={28} fill="var(--sheet)" strokeDasharray="3 2" />
      {board}
    </>
  ),
  carve: (
    <>
      {sheets}
      <path d="M10 10C60 16 70 24 120 44S170 50 190 56" {...strong} />
      <Say x={80} y={18}>
        carve
      </Say>
      <Say x={134} y={40}>
        fill
      </Say>
    </>
  ),
  skin: (
    <>
      <path d="M10 62V34C60 14 120 44 190 24V62Z" {...foam} />
      <path d="M10 31C60 11 120 41 190 21" {...strong} />
      <Say x={96} y={20}>
        skin
      </Say>
      {board}
    </>
  ),
  coats: (
    <>
      <rect x={20} y={44} width={160} height={20} {...foam} />
      <rect x={20} y={34} width={160} height={10} fill="var(--skin)" />
      <path d="M20 30H180" stroke="var(--water)" strokeWidth={3} />
      <path d="M26 28V18M40 28V14M54 28V20M68 28V15M82 28V18M96 28V14M110 28V20" stroke="var(--moss)" />
      <Say x={118} y={24}>
        from below up
      </Say>
    </>
  ),
  feather: (
    <>
      <path d="M10 60H190" />
      <path d="M10 52H90L130 58" stroke="var(--moss)" strokeWidth={3} fill="none" />
      <path d="M190 52H130L90 58" stroke="var(--ochre)" strokeWidth={3} fill="none" />
      <path d="M90 40H130M90 36V44M130 36V44" {...strong} />
    </>
  ),
  bank: (
    <>
      <path d="M10 62V50H50L80 24H130L160 50H190V62Z" {...foam} />
      <path d="M50 50L80 24M130 24L160 50" {...strong} />
      <Say x={92} y={18}>
        flat
      </Say>
    </>
  ),
  repose: (
    <>
      <path d="M30 62L100 16L170 62Z" {...foam} strokeDasharray="4 2" />
      <path d="M58 62A30 30 0 0 0 50 48" {...strong} />
    </>
  ),
  give: (
    <>
      {sheets}
      <path d="M130 24H180M156 18V32M152 28L156 32L160 28" {...strong} />
      <path d="M74 30H190" strokeDasharray="4 3" />
    </>
  ),
  footprint: (
    <>
      <path d="M70 14H130V44H70Z" fill="var(--sheet)" />
      <path d="M60 44H140L150 60H50Z" {...strong} />
    </>
  ),
  overlap: (
    <>
      <rect x={20} y={44} width={110} height={16} {...foam} />
      <rect x={90} y={28} width={90} height={16} {...other} />
      <path d="M90 22H130M90 18V26M130 18V26" {...strong} />
    </>
  ),
  crossfall: (
    <>
      <path d="M10 62V44L60 30L140 40L190 50V62Z" {...foam} />
      <path d="M60 30L140 40" stroke="var(--ochre)" strokeWidth={4} />
      <path d="M60 26H140" strokeDasharray="3 3" />
    </>
  ),
};

export function HelpPicture({ id }: { id: HelpPictureId }) {
  return (
    <svg
      viewBox="0 0 200 72"
      aria-hidden="true"
      className="my-1 h-[72px] w-full"
      stroke="var(--graphite)"
      strokeWidth={1}
      strokeLinejoin="round"
    >
      {pictures[id]}
    </svg>
  );
}
