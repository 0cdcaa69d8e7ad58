import { findFamily } from '@rubbet/core/model';
import type { Show } from '@rubbet/core/order';
import type { Spec } from '@rubbet/core/model';
import type { ParamValue } from '@rubbet/core/unit';

/** What two specs differ in, parameter by parameter, in the words of the form. */
export const compareSpecs = (
  mine: Spec,
  theirs: Spec,
  show: Show,
): { readonly label: string; readonly mine: string; readonly theirs: string }[] => {
  const title = (s: Spec): string => findFamily(s.family)?.title ?? s.family;
  if (mine.family !== theirs.family) return [{ label: 'Built as', mine: title(mine), theirs: title(theirs) }];
  const say = (key: string, value: ParamValue | undefined): string => {
    const def = findFamily(mine.family)?.params.find((p) => p.key === key);
    if (value === undefined) return 'not said';
    if (def?.kind === 'length') return show.length(Number(value));
    if (def?.kind === 'choice') return def.choices.find((c) => c.value === value)?.label ?? String(value);
    return value === true ? 'yes' : value === false ? 'no' : String(value);
  };
  const rows = (findFamily(mine.family)?.params ?? [])
    .filter((p) => mine.params[p.key] !== theirs.params[p.key])
    .map((p) => ({ label: p.label, mine: say(p.key, mine.params[p.key]), theirs: say(p.key, theirs.params[p.key]) }));
  const fittings = (s: Spec): string =>
    (s.fittings ?? []).map((f) => `${f.id} ${show.length(f.left)}`).join(', ') || 'none';
  if (JSON.stringify(mine.fittings ?? []) !== JSON.stringify(theirs.fittings ?? []))
    rows.push({ label: 'Fittings by hand', mine: fittings(mine), theirs: fittings(theirs) });
  if (Boolean(mine.mirrored) !== Boolean(theirs.mirrored))
    rows.push({ label: 'Mirrored', mine: mine.mirrored ? 'yes' : 'no', theirs: theirs.mirrored ? 'yes' : 'no' });
  if ((mine.locked ?? []).join() !== (theirs.locked ?? []).join())
    rows.push({
      label: 'Locked',
      mine: (mine.locked ?? []).join(', ') || 'none',
      theirs: (theirs.locked ?? []).join(', ') || 'none',
    });
  return rows;
};
