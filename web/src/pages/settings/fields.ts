import { boundsOf } from '@rubbet/core/order';
import type { BusinessRules } from '@rubbet/core/order';

/** A setting as the form shows it: where it is, what it is called, and how its number is written. */
export interface SettingField {
  readonly path: string;
  readonly group: string;
  readonly label: string;
  readonly unit: string;
  /** What the shown number is multiplied by to be kept. */
  readonly scale: number;
}

const field = (path: string, group: string, label: string, unit: string, scale = 1): SettingField => ({
  path,
  group,
  label,
  unit,
  scale,
});

export const FIELDS: readonly SettingField[] = [
  field('price.labourPerHour', 'Rates', 'Bench labour', '$ an hour', 100),
  field('price.sitePerHour', 'Rates', 'Work on site', '$ an hour', 100),
  field('price.deliveryBase', 'Rates', 'Delivery, base', '$', 100),
  field('price.deliveryPerMile', 'Rates', 'Delivery, a mile', '$', 100),
  field('price.spoil', 'Rates', 'Spoiled material', '%', 0.01),
  field('price.margin', 'Rates', 'Margin', '%', 0.01),
  field('price.tax', 'Rates', 'Tax', '%', 0.01),
  field('check.flock.runPerHenRanging', 'Space', 'Run a hen, ranging', 'sq ft'),
  field('check.flock.runPerHenConfined', 'Space', 'Run a hen, confined', 'sq ft'),
  field('check.flock.housePerHen', 'Space', 'House floor a hen', 'sq ft'),
  field('check.flock.roostPerHen', 'Space', 'Roost a hen', 'in'),
  field('check.flock.hensPerNest', 'Space', 'Hens a nest', 'hens'),
  field('check.flock.areaPerMeatBird', 'Space', 'Pen floor a meat bird', 'sq ft'),
  field('check.moving.lift.one adult', 'Moving', 'One adult lifts', 'lb'),
  field('check.moving.pull.one adult', 'Moving', 'One adult pulls', 'lb'),
  field('check.moving.lift.two adults', 'Moving', 'Two adults lift', 'lb'),
  field('check.wheelLeast', 'Moving', 'Smallest wheels', 'in'),
  field('check.snow', 'Weather', 'Ground snow', 'psf'),
  field('check.wind', 'Weather', 'Storm wind', 'mph'),
  field('check.rampWarn', 'Fittings', 'Ramp warned from', 'degrees'),
  field('check.barrow', 'Fittings', 'Barrow passes at', 'in'),
  field('check.ventShare', 'Fittings', 'Vents, share of floor', '%', 0.01),
  field('check.legBrace', 'Fittings', 'Legs braced over', 'in'),
  field('check.lidMost', 'Fittings', 'Heaviest lid', 'lb'),
  field('check.swingAbove', 'Fittings', 'Room over a top-hung window', 'in'),
  field('check.roostClear', 'Fittings', 'Between roosts, to the wall', 'in'),
  field('check.roostJump', 'Fittings', 'Birds jump to', 'in'),
  field('check.rakeReach', 'Fittings', 'A rake reaches', 'in'),
  field('check.cleanOutFrom', 'Fittings', 'Clean-out from a floor of', 'sq ft'),
  field('check.popSill', 'Fittings', 'Pop door over the floor', 'in'),
  field('check.doorShare', 'Fittings', 'Doors in a wall, most', '%', 0.01),
  field('check.wheelFrom', 'Moving', 'Wheels from the end, least', 'in'),
  field('check.wheelTo', 'Moving', 'Wheels from the end, most', 'in'),
  field('check.panelMost', 'Moving', 'Heaviest panel of a kit', 'lb'),
  field('check.tarpSnow', 'Weather', 'Tarps warned of from snow', 'psf'),
  field('check.gutterFrom', 'Weather', 'Gutters from a roof of', 'sq ft'),
  field('check.hoopLeast', 'Moving', 'Hoops rise at least', 'in'),
  field('check.hoopApart', 'Moving', 'Hoops apart, most', 'in'),
  field('check.chipsFrom', 'Ground', 'Wide gate from a run of', 'sq ft'),
  field('check.fillMost', 'Ground', 'Fill under a bay, most', 'in'),
  field('labour.cutPerPiece', 'Labour', 'Cutting a piece', 'min'),
  field('labour.framePerPart', 'Labour', 'Framing a part', 'min'),
  field('labour.skinPerSheet', 'Labour', 'Skinning a sheet', 'min'),
  field('labour.roadMilesPerHour', 'Labour', 'Driving with a trailer', 'mph'),
  field('labour.roadFixed', 'Labour', 'Lost on every drive', 'min'),
  field('labour.meshPerSquareFoot', 'Labour', 'Mesh, a square foot', 'min'),
  field('pads.embed', 'Ground', 'First course let in', 'in'),
  field('pads.fillFrom', 'Ground', 'Fill pads from', 'courses'),
];

const isGroup = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null;

/** The value at a dotted path; undefined where there is none. */
export const pathValue = (root: unknown, path: string): number | undefined => {
  const found = path.split('.').reduce<unknown>((at, key) => (isGroup(at) ? at[key] : undefined), root);
  return typeof found === 'number' ? found : undefined;
};

/** A copy of an object with the value at a dotted path set. */
export const withPath = (root: Record<string, unknown>, path: string, value: unknown): Record<string, unknown> => {
  const [head = '', ...rest] = path.split('.');
  if (rest.length === 0) return { ...root, [head]: value };
  const inner = root[head];
  return { ...root, [head]: withPath(isGroup(inner) ? inner : {}, rest.join('.'), value) };
};

/** A kept value as the form shows it. */
export const showField = (f: SettingField, value: number | undefined): string =>
  value === undefined ? '' : String(Math.round((value / f.scale) * 1000) / 1000);

/** What is wrong with what was typed, in words; undefined when it can be kept. */
export const faultOf = (f: SettingField, text: string, defaults: BusinessRules): string | undefined => {
  const value = readField(f, text);
  if (value === undefined) return `${f.unit}, 0 or more`;
  const [least, most] = boundsOf(f.path, pathValue(defaults, f.path) ?? 0);
  return value < least || value > most ? `${f.unit}, ${showField(f, least)} to ${showField(f, most)}` : undefined;
};

/** What was typed as a kept value; undefined when it is no number of 0 or more. Money is kept in whole cents. */
export const readField = (f: SettingField, text: string): number | undefined => {
  if (!/^\d+(\.\d+)?$/.test(text.trim())) return undefined;
  const value = Number(text) * f.scale;
  return f.scale === 100 ? Math.round(value) : Math.round(value * 1e6) / 1e6;
};
