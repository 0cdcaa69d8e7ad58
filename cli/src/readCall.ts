import type { Method } from '@rubbet/core/steps';
import { METHODS } from '@rubbet/core/steps';

/** Where the command line reads from. */
export interface Inputs {
  readonly readFile: (path: string) => string;
  readonly readInput: () => string;
}

/** A fault of the caller's: printed as one sentence, exit code 2. */
export class UsageError extends Error {}

/** What the command line does, verb by verb. */
export const USAGE = `rubbet VERB [FILE | -] [options]; FILE is JSON, - or nothing reads standard input
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

/** Units of one spec in a batch. */
const MOST_UNITS = 50;

/** A verb with what it is given. */
export interface Call {
  readonly verb: string;
  readonly target: string | undefined;
  /** A second file, for verbs that compare. */
  readonly other?: string;
  /** All files, for verbs that take several. */
  readonly all?: readonly string[];
  readonly options: ReadonlyMap<string, string>;
}

/** A call as it was typed. Throws UsageError where there is no such verb or option, or a file is missing or too many. */
export const readCall = (args: readonly string[]): Call => {
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
export const readNumber = (call: Call, option: string, least: number, most: number): number => {
  const text = call.options.get(option);
  if (text === undefined) return least;
  const value = Number(text);
  if (!/^\d+$/.test(text) || value < least || value > most)
    throw new UsageError(`${option} is "${text}"; it takes a whole number from ${least} to ${most}.`);
  return value;
};

/** A file and how many of it: `pen.json:3`. */
export const readMany = (word: string): { readonly file: string; readonly quantity: number } => {
  const [, file = word, text] = /^(.+):(\d+)$/.exec(word) ?? [];
  const quantity = text === undefined ? 1 : Number(text);
  if (quantity < 1 || quantity > MOST_UNITS)
    throw new UsageError(`${word}: a batch takes from 1 to ${MOST_UNITS} of a spec.`);
  return { file, quantity };
};

/** The method asked for; undefined where the proposed one is to be taken. */
export const readMethod = (call: Call): Method | undefined => {
  const text = call.options.get('--method');
  const found = METHODS.find((m) => m === text);
  if (text !== undefined && !found)
    throw new UsageError(`--method is "${text}"; it takes one of ${METHODS.join(', ')}.`);
  return found;
};

/** The JSON of a call's first file, or of standard input. */
export const readJson = (call: Call, inputs: Inputs): unknown => {
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
