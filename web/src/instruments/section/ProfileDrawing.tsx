import { type EdgeProfile, profileHeight } from '@hosket/core';

interface Props {
  profile: EdgeProfile;
  lengthMm: number;
}

const WIDE = 300;
const HIGH = 84;
const PAD = 8;

/** A profile as it is seen square to its edge, heights to scale with lengths. */
export function ProfileDrawing({ profile, lengthMm }: Props) {
  const heights = Array.from({ length: Math.ceil(lengthMm) + 1 }, (_, k) =>
    profileHeight(profile, Math.min(lengthMm, k)),
  );
  const tallest = Math.max(10, ...heights);
  const scale = Math.min((WIDE - 2 * PAD) / lengthMm, (HIGH - 2 * PAD) / tallest);
  const x = (mm: number) => PAD + mm * scale;
  const y = (mm: number) => HIGH - PAD - mm * scale;
  const line = heights.map((height, k) => `${x(Math.min(lengthMm, k)).toFixed(1)} ${y(height).toFixed(1)}`).join('L');
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="w-full rounded-md border border-line bg-sheet"
      role="img"
      aria-label={`Profile ${profile.name}, up to ${Math.round(tallest)} mm high`}
    >
      <path d={`M${x(0)} ${y(0)}L${line}L${x(lengthMm)} ${y(0)}Z`} fill="var(--foam-a)" />
      <path d={`M${line}`} fill="none" stroke="var(--graphite)" strokeWidth={1.6} />
    </svg>
  );
}
