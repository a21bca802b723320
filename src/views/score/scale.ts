/** A stretch of time on the sheet: minutes [from, to) drawn over [x, x + width). */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly x: number;
  readonly width: number;
  /** Nothing begins or ends here for long: drawn short, with a mark. */
  readonly folded: boolean;
}

export interface TimeScale {
  readonly stretches: readonly Stretch[];
  readonly width: number;
  /** Pixels of a minute where nothing is folded. */
  readonly perMinute: number;
  x(minute: number): number;
  /** The minute drawn at a place, not rounded: the inverse of `x`. */
  minute(x: number): number;
}

const FOLD_OVER_MINUTES = 150;
const FOLD_WIDTH = 44;
const MARGIN = 10;

/**
 * Minutes to pixels, with long stretches in which nothing begins or ends folded up, so that a soak begun the evening before does not
 * push the hot hour into a corner. `moments` are all starts and ends; `width` is what there is for the sheet.
 */
export function timeScale(moments: readonly number[], width: number, zoom: number): TimeScale {
  const sorted = [...new Set([...moments, 0])].sort((a, b) => a - b);
  const first = sorted[0]!;
  const last = sorted[sorted.length - 1]!;
  const raw: { from: number; to: number; folded: boolean }[] = [];
  let from = first;
  for (let index = 1; index < sorted.length; index++) {
    const before = sorted[index - 1]!;
    const here = sorted[index]!;
    if (here - before <= FOLD_OVER_MINUTES) continue;
    raw.push({ from, to: before + MARGIN, folded: false }, { from: before + MARGIN, to: here - MARGIN, folded: true });
    from = here - MARGIN;
  }
  raw.push({ from, to: Math.max(last, from + 30), folded: false });
  const folds = raw.filter((each) => each.folded).length;
  const minutes = raw.filter((each) => !each.folded).reduce((sum, each) => sum + each.to - each.from, 0);
  const perMinute = (Math.max(100, width - folds * FOLD_WIDTH) / Math.max(1, minutes)) * zoom;
  let x = 0;
  const stretches = raw.map((each): Stretch => {
    const stretch = { ...each, x, width: each.folded ? FOLD_WIDTH : (each.to - each.from) * perMinute };
    x += stretch.width;
    return stretch;
  });
  const at = (minute: number) => {
    const stretch = stretches.find((each) => minute < each.to) ?? stretches[stretches.length - 1]!;
    return stretch.x + ((minute - stretch.from) / (stretch.to - stretch.from)) * stretch.width;
  };
  const minute = (place: number) => {
    const stretch = stretches.find((each) => place < each.x + each.width) ?? stretches[stretches.length - 1]!;
    return stretch.from + ((place - stretch.x) / stretch.width) * (stretch.to - stretch.from);
  };
  return { stretches, width: x, perMinute, x: at, minute };
}

/** Minutes at which the clock is written: whole quarters, halves or hours, as close as they stay apart. */
export function ticks(scale: TimeScale, tableClock: number): readonly number[] {
  const every = [5, 10, 15, 30, 60, 120].find((minutes) => minutes * scale.perMinute >= 72) ?? 240;
  const list: number[] = [];
  for (const stretch of scale.stretches) {
    if (stretch.folded) continue;
    const first = Math.ceil((stretch.from + tableClock) / every) * every - tableClock;
    for (let minute = first; minute <= stretch.to; minute += every) {
      const previous = list[list.length - 1];
      if (previous === undefined || scale.x(minute) - scale.x(previous) >= 60) list.push(minute);
    }
  }
  return list;
}
