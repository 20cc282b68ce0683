interface Cluster {
  readonly members: readonly number[];
  /** Where its first label would stand if nobody else were there. */
  readonly start: number;
}

/**
 * Places of labels that want to stand at given places and must not overlap: in
 * their order, each at least so far from the next, moved as little as possible
 * (least squares: neighbours that would overlap are pooled and centred on what
 * they want) and kept within bounds as far as there is room.
 */
export function spacedLabels(wanted: readonly number[], gap: number, [from, to]: readonly [number, number]): number[] {
  const order = wanted.map((_, index) => index).sort((a, b) => wanted[a]! - wanted[b]!);
  const clusters: Cluster[] = [];
  const pooled = (members: readonly number[]): Cluster => ({
    members,
    start: members.reduce((sum, index, rank) => sum + wanted[index]! - rank * gap, 0) / members.length,
  });
  for (const index of order) {
    let cluster = pooled([index]);
    for (let before = clusters.at(-1); before && endOf(before, gap) > cluster.start; before = clusters.at(-1)) {
      clusters.pop();
      cluster = pooled([...before.members, ...cluster.members]);
    }
    clusters.push(cluster);
  }
  const placed = [...wanted];
  for (const { members, start } of clusters)
    members.forEach((index, rank) => {
      placed[index] = start + rank * gap;
    });
  // Held within the bounds from both ends; the first end wins where there is too little room.
  order.forEach((index, rank) => {
    placed[index] = Math.max(placed[index]!, rank === 0 ? from : placed[order[rank - 1]!]! + gap);
  });
  order.toReversed().forEach((index, rank) => {
    const next = order[order.length - rank];
    placed[index] = Math.min(placed[index]!, next === undefined ? to : placed[next]! - gap);
  });
  return placed;
}

/** Where the label after a cluster may stand at the earliest. */
const endOf = ({ members, start }: Cluster, gap: number) => start + members.length * gap;
