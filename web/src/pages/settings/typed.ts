import { CHECK_TITLES } from '@rubbet/core/check';
import type { BusinessRules } from '@rubbet/core/order';
import { isSame } from '../../data/drafts.ts';
import { FIELDS, pathValue, readField, showField, withPath } from './fields.ts';

/** Settings as they are typed. */
export interface TypedSettings {
  readonly texts: Readonly<Record<string, string>>;
  readonly style: BusinessRules['units']['style'];
  readonly denominator: BusinessRules['units']['denominator'];
  readonly severities: BusinessRules['check']['severities'];
}

export const typedSettings = (rules: BusinessRules): TypedSettings => ({
  texts: Object.fromEntries(FIELDS.map((f) => [f.path, showField(f, pathValue(rules, f.path))])),
  style: rules.units.style,
  denominator: rules.units.denominator,
  severities: rules.check.severities,
});

/** Whether two sets of settings say the same: `34.0` is `34`. */
export const isSameSettings = (a: TypedSettings, b: TypedSettings): boolean =>
  isSame({ ...a, texts: {} }, { ...b, texts: {} }) &&
  FIELDS.every((f) => {
    const [x, y] = [a.texts[f.path] ?? '', b.texts[f.path] ?? ''];
    return x === y || (readField(f, x) !== undefined && readField(f, x) === readField(f, y));
  });

/** The typed settings put into what is kept already; what the form does not show stays. */
export const readSettings = (
  typed: TypedSettings,
  value: Readonly<Record<string, unknown>>,
): Record<string, unknown> => {
  let out: Record<string, unknown> = { ...value, units: { style: typed.style, denominator: typed.denominator } };
  for (const f of FIELDS) out = withPath(out, f.path, readField(f, typed.texts[f.path] ?? ''));
  return withPath(out, 'check.severities', typed.severities);
};

/** What two sets of settings differ in, side by side. */
export const compareSettings = (mine: TypedSettings, theirs: TypedSettings) => [
  ...FIELDS.filter((f) => readField(f, mine.texts[f.path] ?? '') !== readField(f, theirs.texts[f.path] ?? '')).map(
    (f) => ({
      label: `${f.label}, ${f.unit}`,
      mine: mine.texts[f.path] || 'empty',
      theirs: theirs.texts[f.path] || 'empty',
    }),
  ),
  ...(mine.style === theirs.style ? [] : [{ label: 'Lengths in', mine: mine.style, theirs: theirs.style }]),
  ...(mine.denominator === theirs.denominator
    ? []
    : [{ label: 'Finest fraction', mine: `1/${mine.denominator}`, theirs: `1/${theirs.denominator}` }]),
  ...Object.entries(CHECK_TITLES)
    .filter(([code]) => mine.severities[code] !== theirs.severities[code])
    .map(([code, title]) => ({
      label: title,
      mine: mine.severities[code] ?? 'as usual',
      theirs: theirs.severities[code] ?? 'as usual',
    })),
];
