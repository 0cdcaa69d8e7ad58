import { checkBuild, proveMends } from '@rubbet/core/check';
import { flatIn, operationsOf, planCrews, promiseDay, readShop, writePlan } from '@rubbet/core/crews';
import { addDays } from '@rubbet/core/days';
import { DemandError, planSheetDemand, planSticks, readDemand, readRack, readSheetDemand } from '@rubbet/core/cut';
import { ItemError, readItemChanges, withItems } from '@rubbet/core/stock';
import { outsideSize, planTogether } from '@rubbet/core/takeoff';
import { drawBuild, ViewError } from '@rubbet/core/draw';
import {
  specSchema,
  writeBuild,
  writeCutList,
  writeDxf,
  writeGltf,
  writeJoints,
  writeRolls,
  writeSvg,
} from '@rubbet/core/formats';
import { clean } from '@rubbet/core/measure';
import { compareBuilds, measureMass } from '@rubbet/core/unit';
import { buildSpec, defaultsOf, FAMILIES, findFamily, parseSpec, SpecError } from '@rubbet/core/model';
import { computeOrder, METHOD_RULES, readMethodSite, SiteError, writeMethods } from '@rubbet/core/order';
import { planFoundation, planPads, readSurvey, SurveyError } from '@rubbet/core/site';
import { LABOUR_RATES, measureLabour, measureRepeat, METHODS } from '@rubbet/core/steps';
import type { Method } from '@rubbet/core/steps';
import { measureMoving, measureTipSpeed } from '@rubbet/core/structure';

/** Where the command line reads from. */
export interface Inputs {
  readonly readFile: (path: string) => string;
  readonly readInput: () => string;
}

/** What a command gives back: text for standard output, text for standard error, and the exit code. */
export interface Outcome {
  readonly out: string;
  readonly error: string;
  readonly code: 0 | 2;
}

/** A fault of the caller's: printed as one sentence, exit code 2. */
class UsageError extends Error {}

const USAGE = `rubbet VERB [FILE | -] [options]; FILE is JSON, - or nothing reads standard input
  families                 the kinds of unit there are
  defaults FAMILY          a spec with every parameter at its default
  schema                   the JSON Schema of a spec
  build SPEC               every part: mark, name, role, item, length, cuts, quantity, fit
  check SPEC               what is wrong or could be better, with mends
  takeoff SPEC             what to buy
  cutlist SPEC --csv       the cut list as CSV
  cut DEMAND               a stick plan
  sheets DEMAND            a plan of sheets with its cuts in sequence, for a track saw or a table saw
  batch SPEC:N ...         several specs, so many of each, planned as one; --rack RACK is what lies there
  schedule SHOP            a plan for people, bays, trailers and weather: when, where, who, what it costs, what clashes
  promise SHOP SPEC        the days that such a unit can be promised for, and what is in the way; --miles N, --method M
  joints SPEC              what holds the parts together, and the step that makes it
  rolls SPEC               the mesh as one roll plan
  steps SPEC               steps, operations and labour; --miles N, --quantity N, --method whole|panels|on-site|kit
  method SPEC [SITE]       how it may be made and brought: hours, days, trips and price of each method
  foundation SPEC [SURVEY] what carries it, each support with its height, and what to buy
  mass SPEC                weight, centre, lift, pull, wind
  site SURVEY              pad heights from rod readings
  draw SPEC --view V --svg front, back, left, right, plan, section, three, panel:NAME or apart:NAME
  draw SPEC --view V --dxf the same as DXF
  gltf SPEC                the unit in 3D
  compare SPEC SPEC        what differs, part by part
build, takeoff, cutlist, joints, rolls and gltf take --method too: long walls of panels end on studs of their own
every verb that reads a spec takes --items FILE: the lengths that a shop carries, what they cost, its wood`;

const VERBS = [
  'families',
  'defaults',
  'schema',
  'build',
  'check',
  'takeoff',
  'cutlist',
  'cut',
  'sheets',
  'batch',
  'schedule',
  'promise',
  'joints',
  'rolls',
  'steps',
  'method',
  'foundation',
  'mass',
  'site',
  'draw',
  'gltf',
  'compare',
];
const OPTIONS: Readonly<Record<string, readonly string[]>> = {
  build: ['--method'],
  takeoff: ['--method'],
  joints: ['--method'],
  rolls: ['--method'],
  gltf: ['--method'],
  cutlist: ['--csv', '--method'],
  draw: ['--view', '--svg', '--dxf', '--frame'],
  batch: ['--rack'],
  steps: ['--miles', '--quantity', '--method'],
  promise: ['--miles', '--quantity', '--method'],
};

/** Verbs that read specs: a shop's own items may be given with them. */
const READS_SPEC = VERBS.filter(
  (v) => !['families', 'defaults', 'schema', 'cut', 'sheets', 'schedule', 'site'].includes(v),
);

/** Options that take a value, and what it is. */
const VALUES: Readonly<Record<string, string>> = {
  '--view': 'the name of a view',
  '--miles': 'a number of miles',
  '--quantity': 'a number of units',
  '--rack': 'a file',
  '--items': 'a file',
  '--method': 'one of whole, panels, on-site, kit',
};

/** Rounds that a shop's plan is searched for where no time is said: the same plan on every machine. */
const ROUNDS = 1500;

/** Units of one spec in a batch. */
const MOST_UNITS = 50;

const json = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

interface Call {
  readonly verb: string;
  readonly target: string | undefined;
  /** A second file, for verbs that compare. */
  readonly other?: string;
  /** All files, for verbs that take several. */
  readonly all?: readonly string[];
  readonly options: ReadonlyMap<string, string>;
}

const readCall = (args: readonly string[]): Call => {
  const [verb, ...rest] = args;
  if (verb === undefined || verb === 'help' || verb === '--help') throw new UsageError(USAGE);
  if (!VERBS.includes(verb)) throw new UsageError(`There is no verb "${verb}".\n${USAGE}`);
  const options = new Map<string, string>();
  const plain: string[] = [];
  for (let i = 0; i < rest.length; i++) {
    const word = rest[i] as string;
    if (!word.startsWith('--')) {
      plain.push(word);
      continue;
    }
    if (!(OPTIONS[verb] ?? []).includes(word) && !(word === '--items' && READS_SPEC.includes(verb)))
      throw new UsageError(`${verb} has no option ${word}.`);
    const takes = VALUES[word];
    if (takes !== undefined) {
      const value = rest[++i];
      if (value === undefined) throw new UsageError(`${word} needs ${takes}.`);
      options.set(word, value);
    } else options.set(word, 'yes');
  }
  if (verb === 'compare') {
    if (plain.length !== 2) throw new UsageError('compare takes two files: before and after.');
    return { verb, target: plain[0], other: plain[1] as string, options };
  }
  if (verb === 'promise') {
    if (plain.length !== 2)
      throw new UsageError('promise takes two files: the shop, and the spec of what is asked for.');
    return { verb, target: plain[0], other: plain[1] as string, options };
  }
  if (verb === 'method' || verb === 'foundation') {
    if (plain.length > 2) throw new UsageError(`${verb} takes a spec and at most one file more, not ${plain.length}.`);
    return { verb, target: plain[0], ...(plain[1] === undefined ? {} : { other: plain[1] }), options };
  }
  if (verb === 'batch') {
    if (plain.length === 0)
      throw new UsageError('batch takes at least one spec: a file, with :N after it for N units.');
    return { verb, target: plain[0], all: plain, options };
  }
  if (plain.length > 1) throw new UsageError(`${verb} takes one file, not ${plain.length}: ${plain.join(', ')}.`);
  return { verb, target: plain[0], options };
};

/** A whole number given with an option; its least where it is left out. */
const readNumber = (call: Call, option: string, least: number, most: number): number => {
  const text = call.options.get(option);
  if (text === undefined) return least;
  const value = Number(text);
  if (!/^\d+$/.test(text) || value < least || value > most)
    throw new UsageError(`${option} is "${text}"; it takes a whole number from ${least} to ${most}.`);
  return value;
};

/** A file and how many of it: `pen.json:3`. */
const readMany = (word: string): { readonly file: string; readonly quantity: number } => {
  const [, file = word, text] = /^(.+):(\d+)$/.exec(word) ?? [];
  const quantity = text === undefined ? 1 : Number(text);
  if (quantity < 1 || quantity > MOST_UNITS)
    throw new UsageError(`${word}: a batch takes from 1 to ${MOST_UNITS} of a spec.`);
  return { file, quantity };
};

/** The method asked for; undefined where the proposed one is to be taken. */
const readMethod = (call: Call): Method | undefined => {
  const text = call.options.get('--method');
  const found = METHODS.find((m) => m === text);
  if (text !== undefined && !found)
    throw new UsageError(`--method is "${text}"; it takes one of ${METHODS.join(', ')}.`);
  return found;
};

const readJson = (call: Call, inputs: Inputs): unknown => {
  const name = call.target === undefined || call.target === '-' ? 'standard input' : call.target;
  let text: string;
  try {
    text = name === 'standard input' ? inputs.readInput() : inputs.readFile(name);
  } catch {
    throw new UsageError(`${name} cannot be read: there is no such file, or it may not be opened.`);
  }
  if (text.trim() === '') throw new UsageError(`${name} is empty; ${call.verb} reads JSON.`);
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new UsageError(`${name} is not JSON: ${error instanceof Error ? error.message : String(error)}.`);
  }
};

const answer = (call: Call, inputs: Inputs): string => {
  const spec = () => parseSpec(readJson(call, inputs));
  /** The unit as it is made: by the method asked for, else by the one that is proposed. */
  const made = () => {
    const method = readMethod(call);
    return computeOrder({ spec: spec(), ...(method ? { method } : {}) });
  };
  switch (call.verb) {
    case 'families':
      return json(
        FAMILIES.map((f) => ({
          family: f.key,
          title: f.title,
          purpose: f.purpose,
          schema: f.schema,
          params: f.params,
        })),
      );
    case 'defaults': {
      const family = call.target === undefined ? undefined : findFamily(call.target);
      if (!family)
        throw new UsageError(
          `${call.target === undefined ? 'defaults needs a family' : `There is no family "${call.target}"`}; there are ${FAMILIES.map((f) => f.key).join(', ')}.`,
        );
      return json({ family: family.key, schema: family.schema, params: defaultsOf(family.params) });
    }
    case 'schema':
      return json(specSchema());
    case 'build':
      return json(writeBuild(made().build));
    case 'check': {
      const s = spec();
      // Every mend was tried: it does what it says.
      return json({ findings: proveMends(s, checkBuild(buildSpec(s), s)) });
    }
    case 'takeoff': {
      const t = made().takeoff;
      return json({
        lines: t.lines,
        cost: t.cost,
        boardFeet: clean(t.boardFeet),
        waste: clean(t.waste),
        sticks: t.sticks,
        sheets: t.sheets,
        mesh: t.mesh,
      });
    }
    case 'cutlist':
      if (!call.options.has('--csv')) throw new UsageError('cutlist writes CSV: say --csv.');
      return writeCutList(made().build);
    case 'cut':
      return json(planSticks(readDemand(readJson(call, inputs))));
    case 'sheets':
      return json(planSheetDemand(readSheetDemand(readJson(call, inputs))));
    case 'schedule': {
      const { shop, effort } = readShop(readJson(call, inputs));
      return json(writePlan(shop, planCrews(shop, effort === undefined ? { rounds: ROUNDS } : { seconds: effort })));
    }
    case 'promise': {
      const { shop } = readShop(readJson(call, inputs));
      const asked = parseSpec(readJson({ ...call, target: call.other }, inputs));
      const miles = readNumber(call, '--miles', 0, 500);
      const quantity = readNumber(call, '--quantity', 1, 50);
      const method = readMethod(call);
      const computed = computeOrder({ spec: asked, miles, quantity, ...(method ? { method } : {}) });
      // A name that no order of the shop has.
      let id = 'asked for';
      while (shop.orders.some((o) => o.id === id)) id += ' now';
      // Of what comes as panels the largest needs room in a bay.
      const size = computed.summary.room ?? outsideSize(computed.build);
      const order = { id, due: addDays(shop.first, shop.days), weight: 0, size };
      const day = shop.hours[1] - shop.hours[0];
      const operations = operationsOf(id, computed.operations, {
        day,
        nightFrom: METHOD_RULES.nightFrom,
        ...flatIn(shop.places, computed.operations),
      });
      return json(promiseDay(shop, order, operations));
    }
    case 'batch': {
      const units = (call.all ?? []).map((word) => {
        const { file, quantity } = readMany(word);
        const s = parseSpec(readJson({ ...call, target: file }, inputs));
        return { file, family: s.family, quantity, parts: buildSpec(s).parts };
      });
      const rack = call.options.get('--rack');
      const lying = rack === undefined ? [] : readRack(readJson({ ...call, target: rack }, inputs));
      const { sticks, sheets, mesh, cost, alone } = planTogether(units, lying);
      return json({
        units: units.map(({ file, family, quantity }) => ({ file, family, quantity })),
        sticks,
        sheets,
        mesh,
        cost,
        alone,
      });
    }
    case 'joints': {
      const { build, steps } = made();
      return json(writeJoints(build, steps));
    }
    case 'rolls':
      return json(writeRolls(made().takeoff.mesh));
    case 'steps': {
      const miles = readNumber(call, '--miles', 0, 500);
      const quantity = readNumber(call, '--quantity', 1, 50);
      const s = spec();
      const method = readMethod(call);
      const computed = computeOrder({ spec: s, miles, quantity, ...(method ? { method } : {}) });
      const { steps, operations } = computed;
      const { bench, site, road, customer } = measureLabour(steps, measureRepeat(quantity, LABOUR_RATES.learning));
      return json({ method: computed.method, steps, operations, labour: { shop: bench, bench, site, road, customer } });
    }
    case 'method': {
      const site = readMethodSite(call.other === undefined ? {} : readJson({ ...call, target: call.other }, inputs));
      return json(writeMethods(computeOrder({ spec: spec(), ...site })));
    }
    case 'foundation': {
      const survey =
        call.other === undefined ? undefined : readSurvey(readJson({ ...call, target: call.other }, inputs));
      return json(planFoundation(buildSpec(spec()), survey));
    }
    case 'mass': {
      const build = buildSpec(spec());
      const mass = measureMass(build);
      const moving = measureMoving(build);
      return json({
        weight: clean(mass.weight),
        centre: mass.centre.map(clean),
        ...(build.facts.movable ? { lift: clean(moving.lift), pull: clean(moving.pull) } : {}),
        tipsAt: clean(measureTipSpeed(build)),
      });
    }
    case 'site':
      return json(planPads(readSurvey(readJson(call, inputs))));
    case 'draw': {
      const dxf = call.options.has('--dxf');
      if (!dxf && !call.options.has('--svg')) throw new UsageError('draw writes SVG or DXF: say --svg or --dxf.');
      const drawing = drawBuild(
        buildSpec(spec()),
        call.options.get('--view') ?? 'front',
        call.options.has('--frame') ? { show: 'frame' } : {},
      );
      return dxf ? writeDxf(drawing) : writeSvg(drawing);
    }
    case 'compare':
      return json(
        compareBuilds(buildSpec(spec()), buildSpec(parseSpec(readJson({ ...call, target: call.other }, inputs)))),
      );
    case 'gltf':
      return writeGltf(made().build);
    default:
      throw new UsageError(USAGE);
  }
};

/** Runs one command. Faults of the caller's end in a sentence and exit code 2; anything else is a fault of ours and thrown. */
export const run = (args: readonly string[], inputs: Inputs): Outcome => {
  try {
    const call = readCall(args);
    const file = call.options.get('--items');
    const items = file === undefined ? {} : readItemChanges(readJson({ ...call, target: file }, inputs));
    return { out: withItems(items, () => answer(call, inputs)), error: '', code: 0 };
  } catch (error) {
    if (
      error instanceof UsageError ||
      error instanceof ItemError ||
      error instanceof SpecError ||
      error instanceof DemandError ||
      error instanceof SurveyError ||
      error instanceof SiteError ||
      error instanceof ViewError
    )
      return { out: '', error: error.message, code: 2 };
    throw error;
  }
};
