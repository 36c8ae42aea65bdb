import { OWN_CHANNEL, type Placement } from "../../core/placements";

/** Sizes of one use, seen at one scale, are told apart by their true proportions. */
type Kind = Placement["use"];

/** The widest and the highest that a size of each kind may be on the wall, in CSS pixels. */
const ROOM: Record<Kind, { width: number; height: number }> = {
  post: { width: 300, height: 250 },
  story: { width: 300, height: 300 },
  ad: { width: 480, height: 300 },
  cover: { width: 380, height: 180 },
  thumbnail: { width: 300, height: 250 },
  profile: { width: 120, height: 120 },
  poster: { width: 300, height: 300 },
};

/** Ads on screen are counted in its own pixels, those in a feed in a phone's: each kind has its own scale. */
const kindOf = ({ use, width, viewWidth }: Placement): string =>
  use === "ad" && viewWidth < width ? "feed-ad" : use;

/**
 * The width of each size on the wall, in CSS pixels, by its id. All of one kind are shown at one scale, the
 * largest at which each of them has room; so small ads do not vanish beside posters.
 */
export function wallWidths(placements: readonly Placement[], zoom = 1): Map<string, number> {
  const scales = new Map<string, number>();
  for (const placement of placements) {
    const room = ROOM[placement.use];
    const fits = Math.min(room.width / placement.width, room.height / placement.height);
    const kind = kindOf(placement);
    scales.set(kind, Math.min(scales.get(kind) ?? Infinity, fits));
  }
  return new Map(
    placements.map((placement) => {
      const scale = Math.min(1, zoom * scales.get(kindOf(placement))!);
      return [placement.id, Math.max(1, Math.round(placement.width * scale))];
    }),
  );
}

export interface ChannelGroup {
  channel: string;
  placements: Placement[];
}

/** By channel: that of the lead first, then in the order of the catalogue, a piece's own sizes last. */
export function byChannel(placements: readonly Placement[], lead?: string): ChannelGroup[] {
  const groups = new Map<string, Placement[]>();
  const leading = placements.find(({ id }) => id === lead);
  for (const placement of leading ? [leading, ...placements] : placements) {
    const group = groups.get(placement.channel) ?? [];
    if (!group.includes(placement)) groups.set(placement.channel, [...group, placement]);
  }
  const own = groups.get(OWN_CHANNEL);
  if (own && leading?.channel !== OWN_CHANNEL) {
    groups.delete(OWN_CHANNEL);
    groups.set(OWN_CHANNEL, own);
  }
  return [...groups].map(([channel, list]) => ({ channel, placements: list }));
}

/** Names under the sizes need so much room, in CSS pixels, however narrow the size is. */
export const LEAST_TILE = 136;
export const GAP = { tile: 16, group: 36 } as const;

/**
 * The groups in the order in which they fill rows of `room` CSS pixels: the first that is left, then beside it
 * whichever of the others still fit.
 */
export function packed(
  groups: readonly ChannelGroup[],
  widths: ReadonlyMap<string, number>,
  room: number,
): ChannelGroup[] {
  const left = groups.map((group) => ({ group, width: groupWidth(group, widths) }));
  const order: ChannelGroup[] = [];
  while (left.length > 0) {
    let free = room;
    let next = 0;
    while (next !== -1) {
      const [taken] = left.splice(next, 1);
      order.push(taken!.group);
      free -= taken!.width + GAP.group;
      next = left.findIndex(({ width }) => width <= free);
    }
  }
  return order;
}

function groupWidth({ placements }: ChannelGroup, widths: ReadonlyMap<string, number>): number {
  const tiles = placements.map(({ id }) => Math.max(LEAST_TILE, widths.get(id) ?? 0));
  return tiles.reduce((sum, width) => sum + width + GAP.tile, -GAP.tile);
}

export function channelName(channel: string): string {
  return channel.charAt(0).toUpperCase() + channel.slice(1).replaceAll("-", " ");
}

/** Whether a placement is meant by what was typed to find it: its name, its channel or its sides. */
export function isCalled({ name, channel, width, height }: Placement, wanted: string): boolean {
  const text = `${name} ${channelName(channel)} ${width}x${height} ${width} × ${height}`;
  return text.toLowerCase().includes(wanted.trim().toLowerCase());
}
