/** Moves places on a line apart so that neighbours are at least `gap` from each other, each as near to where it wants to be as the others allow. */
export function spreadApart(wanted: readonly number[], gap: number, least: number, most: number): number[] {
  const order = wanted.map((_, k) => k).sort((a, b) => wanted[a] - wanted[b]);
  const placed = [...wanted];
  // Clusters of touching labels share their mean shift (pool adjacent violators).
  const clusters: { members: number[]; start: number }[] = [];
  for (const k of order) {
    clusters.push({ members: [k], start: wanted[k] });
    for (;;) {
      const last = clusters.at(-1);
      const before = clusters.at(-2);
      if (!last || !before || before.start + before.members.length * gap <= last.start) break;
      const members = [...before.members, ...last.members];
      const start = members.reduce((sum, member, m) => sum + wanted[member] - m * gap, 0) / members.length;
      clusters.splice(-2, 2, { members, start });
    }
  }
  for (const { members, start } of clusters)
    members.forEach((member, m) => {
      placed[member] = start + m * gap;
    });
  // Keep all within the drawing: push up from the lower edge, then down from the upper one.
  for (let k = order.length - 1, limit = most; k >= 0; k--) {
    placed[order[k]] = Math.min(placed[order[k]], limit);
    limit = placed[order[k]] - gap;
  }
  for (let k = 0, limit = least; k < order.length; k++) {
    placed[order[k]] = Math.max(placed[order[k]], limit);
    limit = placed[order[k]] + gap;
  }
  return placed;
}
