import { daylight } from '../../ui/daylight.ts';
/** The textures that carry meaning in every drawing: hatched is carved off, stippled is filled. One set a page. */
export function Patterns() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true" focusable="false">
      <defs>
        <pattern id="carve" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="5" height="5" fill="var(--sheet)" />
          <line x1="0" y1="0" x2="0" y2="5" stroke="var(--clay)" strokeWidth="1.6" />
        </pattern>
        <pattern id="fill" width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill="var(--skin)" />
          <circle cx="1.2" cy="1.2" r="0.8" fill="var(--ochre-text)" />
          <circle cx="3.7" cy="3.7" r="0.8" fill="var(--ochre-text)" />
        </pattern>
        <pattern id="guess" width="9" height="9" patternUnits="userSpaceOnUse">
          <path d="M1 2.5H4M5.5 7H8.5" stroke={daylight.graphite} strokeOpacity="0.55" strokeWidth="1" />
        </pattern>
        <pattern id="skin" width="4" height="4" patternUnits="userSpaceOnUse">
          <rect width="4" height="4" fill="var(--skin)" />
        </pattern>
      </defs>
    </svg>
  );
}
