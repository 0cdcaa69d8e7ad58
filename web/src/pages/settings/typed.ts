import { CHECK_TITLES } from '@rubbet/core/check';
import type { BusinessRules, Show } from '@rubbet/core/order';
import { isSame } from '../../data/drafts.ts';
import { FIELDS, pathValue, readField, showField, unitOf, withPath } from './fields.ts';

/** Rates and rules as they are typed. */
export interface TypedSettings {
  readonly texts: Readonly<Record<string, string>>;
  readonly severities: BusinessRules['check']['severities'];
}

export const typedSettings = (rules: BusinessRules, show: Show): TypedSettings => ({
  texts: Object.fromEntries(FIELDS.map((f) => [f.path, showField(f, pathValue(rules, f.path), show)])),
  severities: rules.check.severities,
});

/** Whether two sets of settings say the same: `34.0` is `34`. */
export const isSameSettings =
  (show: Show) =>
  (a: TypedSettings, b: TypedSettings): boolean =>
    isSame(a.severities, b.severities) &&
    FIELDS.every((f) => {
      const [x, y] = [a.texts[f.path] ?? '', b.texts[f.path] ?? ''];
      const read = readField(f, x, undefined, show);
      return x === y || (read !== undefined && read === readField(f, y, undefined, show));
    });

/**
 * The typed settings put into what is kept already. What the form does not show stays; what is the usual value is not kept,
 * so that a better usual value is taken up later.
 */
export const readSettings = (
  typed: TypedSettings,
  value: Readonly<Record<string, unknown>>,
  { rules, defaults }: { readonly rules: BusinessRules; readonly defaults: BusinessRules },
  show: Show,
): Record<string, unknown> => {
  let out: Record<string, unknown> = { ...value };
  for (const f of FIELDS) {
    const read = readField(f, typed.texts[f.path] ?? '', pathValue(rules, f.path), show);
    out = withPath(out, f.path, read === pathValue(defaults, f.path) ? undefined : read);
  }
  return withPath(out, 'check.severities', typed.severities);
};

/** What two sets of settings differ in, side by side. */
export const compareSettings = (mine: TypedSettings, theirs: TypedSettings, show: Show) => [
  ...FIELDS.filter(
    (f) =>
      readField(f, mine.texts[f.path] ?? '', undefined, show) !==
      readField(f, theirs.texts[f.path] ?? '', undefined, show),
  ).map((f) => ({
    label: [f.label, unitOf(f, show)].filter(Boolean).join(', '),
    mine: mine.texts[f.path] || 'empty',
    theirs: theirs.texts[f.path] || 'empty',
  })),
  ...Object.entries(CHECK_TITLES)
    .filter(([code]) => mine.severities[code] !== theirs.severities[code])
    .map(([code, title]) => ({
      label: title,
      mine: mine.severities[code] ?? 'as usual',
      theirs: theirs.severities[code] ?? 'as usual',
    })),
];
