/** The sign of each tool: what it makes, as a small section over the board; lines on the plan and things as they stand. One stroke language for all. */
import type { ItemKind } from '@hosket/core';
import type { ReactNode } from 'react';

const SIGN = { width: 40, height: 22 };

/** Foam under a ground line, from the left edge of the sign to its right. */
const land = (line: string) => <path d={`M3 18V${line}V18Z`} fill="var(--foam-a)" />;
const hole = (d: string) => <path d={d} fill="var(--sheet)" strokeDasharray="2 1.5" />;
const wet = (d: string) => <path d={d} fill="var(--water)" stroke="none" />;
const flat = land('12H37');

const signs: Readonly<Record<ItemKind, ReactNode>> = {
  contour: <path d="M3 15C10 4 16 15 23 9S33 8 37 4" fill="none" strokeWidth="1.6" />,
  spot: <path d="M20 4V16M14 10H26" strokeWidth="1.6" />,
  form: <path d="M3 14L14 6L26 11L37 4" fill="none" strokeDasharray="4 2" strokeWidth="1.4" />,
  break: <path d="M3 6H18L24 15H37" fill="none" strokeWidth="1.6" />,
  pad: land('18H9L13 8H29L33 18H37'),
  terraces: land('4H13V9H23V13H33V16H37'),
  way: (
    <>
      {land('14H10L14 10H26L30 14H37')}
      <path d="M14 9.4H26" stroke="var(--ochre)" strokeWidth="2.4" />
    </>
  ),
  steps: land('5H9V8H15V11H21V14H27V16H37'),
  channel: (
    <>
      {land('9H12L16 15H24L28 9H37')}
      {wet('M14.2 12H25.8L24 15H16Z')}
    </>
  ),
  basin: (
    <>
      {land('8H9C13 17 27 17 31 8H37')}
      {wet('M10.2 10H29.8C25 17 15 17 10.2 10Z')}
    </>
  ),
  mound: <path d="M3 18C12 18 13 5 20 5S28 18 37 18Z" fill="var(--foam-a)" />,
  heap: <path d="M5 18L18 6L22 7L35 18Z" fill="var(--foam-a)" strokeDasharray="3 1.6" />,
  pit: land('7H11L14 15H26L29 7H37'),
  crater: land('10C9 10 11 5 13 5C15 5 15 15 20 15S25 5 27 5C29 5 31 10 37 10'),
  cliff: land('4H17L19 16H37'),
  island: (
    <>
      {wet('M3 11H37V18H3Z')}
      <path d="M10 18C13 18 14 6 20 6S27 18 30 18Z" fill="var(--foam-a)" />
    </>
  ),
  beach: (
    <>
      {land('7C14 8 24 15 37 16')}
      {wet('M21 13H37V16C32 15.6 26 14.8 21 13Z')}
    </>
  ),
  span: (
    <>
      {land('10H11V17H29V10H37')}
      <path d="M9 8.5H31" strokeWidth="3" />
    </>
  ),
  rock: <path d="M8 18L11 10L18 6L27 8L32 18Z" fill="var(--foam-b)" />,
  bark: <path d="M5 17L9 8L14 12L19 7L24 12L30 8L35 17Z" fill="var(--skin)" />,
  slate: <path d="M6 17L12 12H34L29 17ZM10 12L15 8H32L34 12" fill="var(--foam-b)" />,
  cast: <path d="M7 18V9C10 6 14 10 17 7S25 5 28 8S33 10 33 18Z" fill="var(--foam-a)" />,
  building: <path d="M10 18V10L20 4L30 10V18ZM18 18V13H23V18" fill="var(--foam-a)" />,
  patch: (
    <>
      {flat}
      <path
        d="M9 12V8M12 12V7M15 12V8M18 12V6M21 12V8M24 12V7M27 12V8M30 12V7"
        stroke="var(--moss)"
        strokeWidth="1.6"
      />
    </>
  ),
  tree: (
    <>
      <path d="M20 18V11" strokeWidth="2" />
      <circle cx="20" cy="7.5" r="5.5" fill="var(--moss)" />
    </>
  ),
  figure: (
    <>
      <circle cx="20" cy="5" r="2.2" fill="var(--foam-b)" />
      <path d="M20 7.5V13M16.5 10H23.5M20 13L17.5 17M20 13L22.5 17M13 18H27" fill="none" />
    </>
  ),
  vehicle: (
    <>
      <path d="M8 14V9H14L17 5H27L29 9H33V14Z" fill="var(--foam-b)" />
      <circle cx="14" cy="15" r="2.6" fill="var(--sheet)" />
      <circle cx="27" cy="15" r="2.6" fill="var(--sheet)" />
    </>
  ),
  held: <path d="M20 18V11M11 9L29 7L24 4L15 5Z" fill="var(--foam-b)" />,
  stood: <path d="M13 18V10H19V6H27V18Z" fill="var(--foam-b)" />,
  fence: <path d="M6 18V9M15 18V9M24 18V9M33 18V9M4 11H36M4 14.5H36" fill="none" strokeWidth="1.4" />,
  street: <path d="M5 18V11L9 7L13 11V18ZM16 18V11L20 7L24 11V18ZM27 18V11L31 7L35 11V18Z" fill="var(--foam-a)" />,
  track: (
    <path d="M4 17H36M8 17V14.5H12V17M18 17V14.5H22V17M28 17V14.5H32V17M4 12.5H36" fill="none" strokeWidth="1.6" />
  ),
  cave: (
    <>
      {land('5H37')}
      {hole('M12 18V13C12 8 28 8 28 13V18')}
    </>
  ),
  tunnel: (
    <>
      {land('5H37')}
      {hole('M3 11.5H37V15.5H3Z')}
    </>
  ),
  cable: (
    <>
      {land('5H37')}
      <path d="M3 13C14 13 16 10 22 12S32 15 37 14" fill="none" stroke="var(--clay)" strokeWidth="1.8" />
    </>
  ),
  bay: (
    <>
      {land('5H37')}
      {hole('M13 18V10H29V18')}
    </>
  ),
  chamber: (
    <>
      {land('7H37')}
      {wet('M3 9.5H37V12H3Z')}
      <path d="M14 18V7H27V18" fill="var(--sheet)" strokeWidth="1.8" />
    </>
  ),
};

export function ToolSign({ kind }: { kind: ItemKind }) {
  return (
    <svg
      width={SIGN.width}
      height={SIGN.height}
      viewBox={`0 0 ${SIGN.width} ${SIGN.height}`}
      aria-hidden="true"
      stroke="var(--graphite)"
      strokeWidth={1.2}
      strokeLinejoin="round"
    >
      {signs[kind]}
      <path d="M2 19.5H38" stroke="var(--board)" strokeWidth={2.6} />
    </svg>
  );
}
