import { describeCuts } from '@rubbet/core/formats';
import { SAW_RULES } from '@rubbet/core/saw';
import type { SawPart, SawSheetPart } from '@rubbet/core/saw';
import { findItem } from '@rubbet/core/stock';
import { dropsOf } from '@rubbet/core/takeoff';
import { repeatParts } from '@rubbet/core/unit';
import type { Build } from '@rubbet/core/unit';

/** What the saw cuts of some open parts of an order. What is measured in place is cut at the length that was found, and waits until it is. */
export const listSawParts = (
  order: number,
  { build, units, kerf = SAW_RULES.kerf }: { readonly build: Build; readonly units: number; readonly kerf?: number },
  open: readonly { readonly part: string; readonly measured: number | null }[],
  /** For buying, what is measured in place counts with the length that it is drawn with. */
  drawn = false,
): { readonly sticks: SawPart[]; readonly sheets: SawSheetPart[]; readonly waiting: number } => {
  const wanted = new Map(open.map((o) => [o.part, o.measured]));
  const panels = new Map(build.assemblies.map((a) => [a.id, a.name]));
  const sticks: SawPart[] = [];
  const sheets: SawSheetPart[] = [];
  let waiting = 0;
  for (const p of repeatParts(build.parts, units)) {
    if (!wanted.has(p.id)) continue;
    const kind = findItem(p.item).kind;
    if (kind !== 'lumber' && kind !== 'sheet') continue;
    const measured = wanted.get(p.id) ?? null;
    if (!drawn && p.fit !== 'cut to length' && measured === null) {
      waiting++;
      continue;
    }
    const unit = units > 1 ? `, unit ${p.id.split('@').at(-1) ?? ''}` : '';
    const ends = describeCuts(p);
    const part: SawPart = {
      order,
      part: p.id,
      mark: p.mark,
      panel: `${panels.get(p.assembly) ?? p.assembly}${unit}`,
      item: p.item,
      length: measured ?? p.length,
      ...(p.rip === undefined ? {} : { rip: p.rip }),
      ...(p.cuts.some((c) => c.angle > 0) ? { ends } : {}),
    };
    if (kind === 'lumber') sticks.push(part);
    else {
      const drops = dropsOf(p, kerf);
      sheets.push({ ...part, width: p.width, ...(drops.length > 0 ? { drops } : {}) });
    }
  }
  return { sticks, sheets, waiting };
};
