import type { Build, Part } from '../unit/index.ts';
import { partsOf } from '../unit/index.ts';
import { planFoundation } from '../site/index.ts';
import type { FoundationPlan } from '../site/index.ts';
import { CAUTIONS } from './cautions.ts';
import { TOOLS } from './tools.ts';
import { LABOUR_RATES, PLACE_OF } from './types.ts';
import type { LabourRates, Method, Station, Step } from './types.ts';

/** What decides how a unit is made: how long things take, how far it goes, by which method, on which foundation. */
export interface Making {
  readonly rates?: LabourRates;
  /** Distance of the site. */
  readonly miles?: number;
  readonly method?: Method;
  /** Assemblies that are framed on site although the rest comes as panels: too heavy or too large to be carried. */
  readonly there?: ReadonlySet<string>;
  readonly foundation?: FoundationPlan;
  /** Equal units that are made one after the other. */
  readonly quantity?: number;
}

/** What is said of a step; place, tools and cautions follow from it. */
export type StepDraft = Omit<Step, 'tools' | 'cautions' | 'joints' | 'fasteners' | 'hardware' | 'place' | 'people'> & {
  readonly cautions?: readonly string[];
  readonly tools?: readonly string[];
  readonly people?: number;
};

/** Pounds that one person carries at a panel for the length of a lift. Common practice, no source. */
export const LIFT = 70;

/** The steps of a build as they are written down, with the last step of every assembly. */
export class StepList {
  readonly steps: Step[] = [];
  readonly ended = new Map<string, string>();
  readonly build: Build;
  readonly rates: LabourRates;
  readonly method: Method;
  readonly miles: number;
  readonly there: ReadonlySet<string>;
  readonly foundation: FoundationPlan;
  readonly quantity: number;
  /** Boards or sheets are coated before something hides them. */
  readonly stained: boolean;
  readonly #byId: ReadonlyMap<string, Part>;

  constructor(build: Build, making: Making) {
    this.build = build;
    this.rates = making.rates ?? LABOUR_RATES;
    this.method = making.method ?? 'whole';
    this.miles = making.miles ?? 0;
    this.there = making.there ?? new Set();
    this.foundation = making.foundation ?? planFoundation(build);
    this.quantity = making.quantity ?? 1;
    this.stained = build.parts.some((p) => p.role === 'siding');
    this.#byId = new Map(build.parts.map((p) => [p.id, p]));
  }

  /** Writes a step down and gives its id. Work on site takes its share longer than in the shop. */
  add(step: StepDraft): string {
    const parts = step.parts.flatMap((id) => this.#byId.get(id) ?? []);
    const place = PLACE_OF[step.station];
    const slower = place === 'site' && MADE.has(step.verb) ? this.rates.siteShare : 1;
    this.steps.push({
      ...step,
      place,
      people: step.people ?? (place === 'site' || place === 'load' ? 2 : 1),
      tools: step.tools ?? TOOLS[step.verb],
      joints: [],
      fasteners: [],
      hardware: [],
      cautions: [...(step.cautions ?? []), ...CAUTIONS.filter((c) => c.when(step.verb, parts)).map((c) => c.text)],
      minutes: Math.max(1, Math.round(step.minutes * slower)),
      ...(step.station === 'saw' ? { batch: 'by unit' as const } : {}),
      ...(place === 'site' && this.method === 'kit' && step.verb !== 'unload' ? { by: 'customer' as const } : {}),
    });
    return step.id;
  }

  /** Ids of an assembly's parts. */
  partsOf(assembly: string): Part[] {
    return partsOf(this.build.parts, assembly);
  }

  /** Last steps of some assemblies. */
  endsOf(list: readonly { readonly id: string }[]): string[] {
    return list.flatMap((a) => this.ended.get(a.id) ?? []);
  }

  /** Where a panel is framed and skinned. */
  panelStation(a: { readonly id: string }): Station {
    return this.method === 'on-site' || this.there.has(a.id) ? 'site' : 'bay';
  }

  /** Where an assembly is put to the others. */
  raiseStation(a: { readonly apart?: boolean }): Station {
    return this.method === 'whole' && a.apart !== true ? 'bay' : 'site';
  }
}

/** Work that goes slower away from the shop; the rest is counted for the site as it is. */
const MADE: ReadonlySet<Step['verb']> = new Set([
  'lay out',
  'frame',
  'check',
  'skin',
  'stand',
  'saw out',
  'fit',
  'roof',
  'hang',
  'coat',
]);
