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
import { LABOUR_RATES, measureLabour, measureRepeat } from '@rubbet/core/steps';
import { measureMoving, measureTipSpeed } from '@rubbet/core/structure';
import { readCall, readJson, readMany, readMethod, readNumber, USAGE, UsageError } from './readCall.ts';
import type { Call, Inputs } from './readCall.ts';

/** What a command gives back: text for standard output, text for standard error, and the exit code. */
export interface Outcome {
  readonly out: string;
  readonly error: string;
  readonly code: 0 | 2;
}

/** Rounds that a shop's plan is searched for where no time is said: the same plan on every machine. */
const ROUNDS = 1500;

const json = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

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
