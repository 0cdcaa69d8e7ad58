import { boundsOf } from '@rubbet/core/order';
import type { BusinessRules, Quantity, Show } from '@rubbet/core/order';

/** What a kept number is: a figure with units, money in cents, a share, or a plain number. */
type Kind = Quantity | 'money' | 'share' | 'plain';

/** A setting as the form shows it: where it is, what it is called, how its number is written, and what it decides. */
export interface SettingField {
  readonly path: string;
  readonly group: string;
  readonly label: string;
  readonly kind: Kind;
  /** The unit of a plain number, and what follows the unit of another. */
  readonly unit: string;
  readonly help: string;
}

const group =
  (name: string) =>
  (path: string, label: string, kind: Kind, unit: string, help: string): SettingField => ({
    path,
    group: name,
    label,
    kind,
    unit,
    help,
  });

const rate = group('What you charge');
const labour = group('How long work takes');
const space = group('Space for birds');
const moving = group('Moving by hand');
const weather = group('Snow and wind');
const fitting = group('Doors, roosts, nests');
const ground = group('Ground and pads');
const road = group('Way and road');
const method = group('How it is made and brought');
const saw = group('The saw');
const crews = group('The crew plan');

export const FIELDS: readonly SettingField[] = [
  rate('price.labourPerHour', 'Bench labour', 'money', 'an hour', 'Every minute at saw, bay and paint place.'),
  rate('price.sitePerHour', 'Work on site', 'money', 'an hour', 'Setting, levelling and what is cut on site.'),
  rate('price.deliveryBase', 'Delivery, base', 'money', '', 'Charged for every trip, however short.'),
  rate('price.deliveryPerMile', 'Delivery, a mile', 'money', '', 'For each mile from the shop to the site.'),
  rate('price.spoil', 'Spoiled material', 'share', '', 'Added to materials for what is cut wrong or split.'),
  rate('price.margin', 'Margin', 'share', '', 'What is left of the price after all costs.'),
  rate('price.tax', 'Tax', 'share', '', 'Added to the price; ask your tax office which rate holds.'),

  labour('labour.sortPerStick', 'Sorting a stick', 'plain', 'min', 'Looking each board over before it is cut.'),
  labour('labour.cutPerPiece', 'Cutting a piece', 'plain', 'min', 'Measuring, cutting and marking one stick piece.'),
  labour('labour.cutPerSheetPiece', 'Cutting a piece of sheet', 'plain', 'min', 'Ply and siding, openings included.'),
  labour(
    'labour.cutPerMeshFace',
    'Cutting a face of mesh',
    'plain',
    'min',
    'Off the roll, in strips where it is wider.',
  ),
  labour('labour.layoutPerMark', 'Marking out, a mark', 'plain', 'min', 'Each cross on a plate.'),
  labour('labour.framePerPart', 'Framing a part', 'plain', 'min', 'Setting and fixing one piece of a frame.'),
  labour('labour.skinPerSheet', 'Skinning, a piece', 'plain', 'min', 'Boards and sheets on a frame.'),
  labour('labour.meshPerSquareFoot', 'Mesh, a square foot', 'plain', 'min', 'Stretching, stapling and battens.'),
  labour('labour.standPerPanel', 'Standing a panel', 'plain', 'min', 'Lifting, plumbing, clamping, fixing.'),
  labour('labour.fitPerPart', 'Fitting a part', 'plain', 'min', 'What is measured in place: roosts, bars, nests.'),
  labour('labour.roofPerSheet', 'Roofing, a sheet', 'plain', 'min', 'Laying and screwing a sheet of cover.'),
  labour('labour.hangDoor', 'Hanging a door', 'plain', 'min', 'Hinges, latch, and an even gap.'),
  labour('labour.coatPerSquareFoot', 'A coat, a square foot', 'plain', 'min', 'One coat of paint or stain.'),
  labour('labour.load', 'Loading and tying', 'plain', 'min', 'Getting one unit on the trailer.'),
  labour('labour.packPerPanel', 'Packing a kit, a panel', 'plain', 'min', 'Numbering, bags and leaflet.'),
  labour(
    'labour.siteShare',
    'Work on site takes',
    'share',
    'of the time in the shop',
    'No bench, no saw, the weather.',
  ),
  labour('labour.unload', 'Unloading', 'plain', 'min', 'Off the trailer and to its place.'),
  labour('labour.setUnit', 'Setting it', 'plain', 'min', 'On its pads, level, shimmed.'),
  labour('labour.touchUp', 'Touching up paint', 'plain', 'min', 'What was sawn or scratched on site.'),
  labour('labour.cleanUp', 'Cleaning up', 'plain', 'min', 'Staples and mesh ends off the grass.'),
  labour('labour.walkThrough', 'Showing it', 'plain', 'min', 'Latches, inside release, cleaning out.'),
  labour(
    'labour.roadMilesPerHour',
    'Driving with a trailer',
    'speed',
    '',
    'How fast you come along, on the whole way.',
  ),
  labour(
    'labour.learning',
    'Learning',
    'share',
    '',
    'With every doubling of the count an equal unit takes so much of the time; 100 % where nothing is gained.',
  ),
  labour('labour.roadFixed', 'Lost on every drive', 'plain', 'min', 'Hitching, fuel, the gate.'),

  space('check.flock.runPerHenRanging', 'Run a hen, ranging', 'area', '', 'Where the birds come out every day.'),
  space('check.flock.runPerHenConfined', 'Run a hen, confined', 'area', '', 'Where the run is all they have.'),
  space(
    'check.flock.runFloorPerHen',
    'Run a hen, at the least',
    'area',
    '',
    'Below it a run is too small whatever else.',
  ),
  space('check.flock.housePerHen', 'House floor a hen', 'area', '', 'Inside, nests not counted.'),
  space('check.flock.roostPerHen', 'Roost a hen', 'length', '', 'Hens sleep side by side.'),
  space('check.flock.roostTight', 'Roost a hen, tightest', 'length', '', 'Below it they push each other off.'),
  space('check.flock.hensPerNest', 'Hens a nest', 'plain', 'hens', 'As many as share one nest well.'),
  space('check.flock.hensPerNestMost', 'Hens a nest, most', 'plain', 'hens', 'Over it eggs are laid on the floor.'),
  space('check.flock.areaPerMeatBird', 'Pen floor a meat bird', 'area', '', 'In a pen that is moved every day.'),
  space('check.flock.areaPerPenLayer', 'Pen floor a layer', 'area', '', 'In a pen that is moved every day.'),
  space('check.flock.bantamShare', 'A bantam, of a hen', 'share', '', 'How much of a hen’s space a bantam takes.'),

  moving('check.moving.lift.child', 'A child lifts', 'weight', '', 'One end, for a moment.'),
  moving('check.moving.lift.one adult', 'One adult lifts', 'weight', '', 'One end, for a moment.'),
  moving('check.moving.lift.two adults', 'Two adults lift', 'weight', '', 'One end, for a moment.'),
  moving('check.moving.lift.vehicle', 'A vehicle lifts', 'weight', '', 'With a jack or a loader.'),
  moving('check.moving.pull.child', 'A child pulls', 'weight', '', 'Steadily, on grass.'),
  moving('check.moving.pull.one adult', 'One adult pulls', 'weight', '', 'Steadily, on grass.'),
  moving('check.moving.pull.two adults', 'Two adults pull', 'weight', '', 'Steadily, on grass.'),
  moving('check.moving.pull.vehicle', 'A vehicle pulls', 'weight', '', 'Steadily, on grass.'),
  moving('check.moving.rollingSmall', 'Small wheels take', 'share', 'of the weight', 'To roll it over grass.'),
  moving('check.moving.rollingLarge', 'Large wheels take', 'share', 'of the weight', 'To roll it over grass.'),
  moving('check.moving.sliding', 'Sliding takes', 'share', 'of the weight', 'To drag it over grass.'),
  moving('check.wheelLeast', 'Smallest wheels', 'length', '', 'Smaller ones sink and stick.'),
  moving('check.wheelFrom', 'Wheels from the end, least', 'length', '', 'So that one end is light enough to lift.'),
  moving('check.wheelTo', 'Wheels from the end, most', 'length', '', 'So that it does not tip over them.'),
  moving('check.panelMost', 'Heaviest panel of a kit', 'weight', '', 'What two carry out and back.'),

  weather('check.snow', 'Ground snow', 'load', '', 'Of your county; your building office knows it.'),
  weather('check.wind', 'Storm wind', 'speed', '', 'Gusts that come every few years.'),
  weather('check.tarpSnow', 'Tarps warned of from snow', 'load', '', 'A tarp comes down under more.'),
  weather('check.gutterFrom', 'Gutters from a roof of', 'area', '', 'Larger roofs drip where people walk.'),
  weather('check.hoopLeast', 'Hoops rise at least', 'length', '', 'Lower ones cannot be reached into.'),
  weather('check.hoopApart', 'Hoops apart, most', 'length', '', 'Wider ones let the cover sag.'),

  fitting('check.rampWarn', 'Ramp warned from', 'plain', 'degrees', 'Steeper ones are slid down.'),
  fitting('check.barrow', 'Barrow passes at', 'length', '', 'Clear width of a door.'),
  fitting('check.personFits', 'A person fits from', 'length', '', 'Doors of this size open from inside as well.'),
  fitting('check.ventShare', 'Vents, share of floor', 'share', '', 'Open high up, above the birds.'),
  fitting('check.legBrace', 'Legs braced over', 'length', '', 'Higher legs sway without braces.'),
  fitting('check.lidMost', 'Heaviest lid', 'weight', '', 'Heavier ones are let fall.'),
  fitting('check.swingAbove', 'Room over a top-hung window', 'length', '', 'So that it clears the rafters.'),
  fitting('check.roostClear', 'Between roosts, to the wall', 'length', '', 'So that nobody sits under another.'),
  fitting('check.roostOverNest', 'Roosts over nests', 'length', '', 'Lower ones make nests the better bed.'),
  fitting('check.roostJump', 'Birds jump to', 'length', '', 'Higher roosts want a ladder.'),
  fitting('check.rakeReach', 'A rake reaches', 'length', '', 'From the clean-out to the far side.'),
  fitting('check.reachIn', 'An arm reaches', 'length', '', 'Into a pen, over its side.'),
  fitting('check.cleanOutFrom', 'Clean-out from a floor of', 'area', '', 'Smaller ones are reached from the door.'),
  fitting('check.popSill', 'Pop door over the floor', 'length', '', 'Holds the litter in.'),
  fitting('check.litterLow', 'Litter, least', 'length', '', 'Deep litter that works.'),
  fitting('check.litterHigh', 'Litter, most', 'length', '', 'Deep litter that works.'),
  fitting('check.nestEave', 'Eave over nest lids', 'length', '', 'Shelters the lid from rain.'),
  fitting('check.doorShare', 'Doors in a wall, most', 'share', '', 'More leaves no wall to hold it square.'),
  fitting('check.roofedShare', 'Roofed share of a pen', 'share', '', 'Shade and a dry place for all.'),
  fitting('check.sheetNear', 'Tip where a sheet is saved by', 'length', '', 'So much less size saves a whole sheet.'),

  ground('pads.block', 'Height of a block', 'length', '', 'One course of the blocks you buy.'),
  ground('pads.joint', 'Mortar between blocks', 'length', '', 'None where they are laid dry.'),
  ground('pads.paver', 'Height of a paver', 'length', '', 'One of the pavers you buy.'),
  ground('pads.shim', 'Shims up to', 'length', '', 'Higher gaps take a paver.'),
  ground('pads.embed', 'First course let in', 'length', '', 'So that frost and birds do not shift it.'),
  ground('pads.fillFrom', 'Fill pads from', 'plain', 'courses', 'Higher stacks get concrete and a bar.'),
  ground('check.fillMost', 'Fill under a bay, most', 'length', '', 'More washes out.'),
  ground('check.chipsFrom', 'Wide gate from a run of', 'area', '', 'Chips are brought in by barrow.'),

  saw('saw.kerf', 'The blade takes', 'length', '', 'Lost with every cut of a batch.'),
  saw('saw.endTrim', 'Cut off every stick’s end', 'length', '', 'Knots and checks, before its first piece.'),
  saw('saw.firewood', 'Firewood below', 'length', '', 'What is longer goes back to the rack with a mark.'),
  saw('saw.longRest', 'A long rest from', 'length', '', 'Worth its full share; a shorter one less.'),
  saw(
    'saw.restWorth',
    'A long rest is worth',
    'share',
    'of its price',
    'One long rest is kept rather than two short ones.',
  ),
  saw('saw.stack', 'Stacked under the blade', 'length', 'high', 'Equal sticks cut lying on each other.'),
  saw('saw.stopMove', 'Setting the stop', 'money', '', 'Weighed against the wood that it saves.'),
  saw(
    'saw.ripPass',
    'One rip along a stick',
    'money',
    'for 8 ft',
    'Narrow sticks are ripped from wider ones where that is cheaper.',
  ),

  crews('crews.lateDay', 'A day late', 'money', '', 'What it counts as, for one order.'),
  crews('crews.bayDay', 'A day in a bay', 'money', '', 'What stands in it keeps the next out.'),
  crews('crews.upset', 'A block moved', 'money', 'to another day', 'Than people were told.'),
  crews('crews.overtimeHour', 'Overtime', 'money', 'an hour', 'For one person.'),
  crews('crews.overtime', 'Overtime, at most', 'plain', 'min', 'On a day on which people stay longer.'),
  crews('crews.mixed', 'Crews mixed', 'money', 'a block', 'People of two crews at one piece of work.'),
  crews('crews.driving', 'On the road', 'money', 'an hour', 'For one person on the way with a trailer.'),
  crews('crews.racks', 'Racks to dry on', 'plain', 'racks', 'Panels that dry on one leave their bay to the next.'),
  crews(
    'crews.confirm',
    'A site not confirmed waits',
    'plain',
    'days',
    'Nobody is sent within so many days to a site whose customer has not said that it is ready.',
  ),
  crews(
    'crews.lead',
    'What nobody has ordered comes in',
    'plain',
    'days',
    'Where neither item nor supplier says. With 0 no work waits for what is not ordered.',
  ),
  crews('crews.rain', 'Rain stops work from', 'share', 'chance', 'Raising and roofing outside, coats on site.'),
  crews(
    'crews.coat',
    'Too cold for coats below',
    'plain',
    '°F',
    'Where a unit stands; the label of your paint decides.',
  ),
  crews('crews.frost', 'Too cold for concrete below', 'plain', '°F', 'While it is poured and sets.'),
  crews('crews.wind', 'Too windy over', 'plain', 'mph', 'For panels and roofs in the hand.'),

  method('method.lift', 'One person carries', 'weight', '', 'Of a panel, to its place.'),
  method('method.lifters', 'Lift together', 'plain', 'people', 'Heavier panels are framed on site.'),
  method('method.hands', 'Room beside a load', 'length', '', 'For hands, in a gate.'),
  method('method.kitMost', 'Panels of a kit, most', 'plain', 'panels', 'More are no weekend’s work.'),
  method('method.siteDay', 'A day away', 'plain', 'min', 'Door to door, the drives in it.'),
  method('method.nightFrom', 'Night away from a drive of', 'plain', 'min', 'One way; nearer, the crew comes home.'),
  method('method.night', 'A night for one', 'money', '', 'Bed and board, charged with the order.'),

  road('check.loadWidth', 'Widest load', 'length', '', 'Without a permit; your road office knows it.'),
  road('check.loadHeight', 'Highest load over the bed', 'length', '', 'Under the bridges of your ways.'),
];

const isGroup = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null;

/** The value at a dotted path; undefined where there is none. */
export const pathValue = (root: unknown, path: string): number | undefined => {
  const found = path.split('.').reduce<unknown>((at, key) => (isGroup(at) ? at[key] : undefined), root);
  return typeof found === 'number' ? found : undefined;
};

/** A copy of an object with the value at a dotted path set; `undefined` takes it out. */
export const withPath = (root: Record<string, unknown>, path: string, value: unknown): Record<string, unknown> => {
  const [head = '', ...rest] = path.split('.');
  if (rest.length === 0) {
    const { [head]: _gone, ...others } = root;
    return value === undefined ? others : { ...root, [head]: value };
  }
  const inner = root[head];
  return { ...root, [head]: withPath(isGroup(inner) ? inner : {}, rest.join('.'), value) };
};

const factorOf = (f: SettingField, show: Show): number =>
  f.kind === 'money' || f.kind === 'share'
    ? f.kind === 'money'
      ? 0.01
      : 100
    : f.kind === 'plain'
      ? 1
      : show.out(f.kind, 1);

/** The unit beside the input. */
export const unitOf = (f: SettingField, show: Show): string => {
  const unit =
    f.kind === 'money' ? show.currency : f.kind === 'share' ? '%' : f.kind === 'plain' ? '' : show.unit(f.kind);
  return [unit, f.unit].filter(Boolean).join(' ');
};

/** A kept value as the form shows it. */
export const showField = (f: SettingField, value: number | undefined, show: Show): string =>
  value === undefined ? '' : String(Number((value * factorOf(f, show)).toPrecision(6)));

/** What is wrong with what was typed, in words; undefined when it can be kept. */
export const faultOf = (f: SettingField, text: string, defaults: BusinessRules, show: Show): string | undefined => {
  const value = readField(f, text, undefined, show);
  const [least, most] = boundsOf(f.path, pathValue(defaults, f.path) ?? 0);
  return value === undefined || value < least - 1e-9 || value > most + 1e-9
    ? `${showField(f, least, show)} to ${showField(f, most, show)}`
    : undefined;
};

/**
 * What was typed as a kept value; undefined when it is no number of 0 or more. Money is kept in whole cents. A value that was
 * not touched stays as exact as it was kept, however it was rounded to be shown.
 */
export const readField = (f: SettingField, text: string, kept: number | undefined, show: Show): number | undefined => {
  const plain = text.trim();
  if (kept !== undefined && plain === showField(f, kept, show)) return kept;
  if (!/^\d+(\.\d+)?$/.test(plain)) return undefined;
  const value = Number(plain) / factorOf(f, show);
  return f.kind === 'money' ? Math.round(value) : Math.round(value * 1e6) / 1e6;
};
