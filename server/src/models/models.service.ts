import { ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { parseModelFile, readRanges, writeModelFile } from '@rubbet/core/formats';
import type { ModelFile, SellerRanges } from '@rubbet/core/formats';
import { parseSpec } from '@rubbet/core/model';
import type { OrderSummary } from '@rubbet/core/order';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { transact } from '../database/transact.ts';
import type { User } from '../auth/auth.answers.ts';
import { Figures } from '../work/figures.ts';
import { Settings } from '../settings/settings.service.ts';
import type { Model, ModelDetail } from './models.answers.ts';
import type { ModelChangeDto, ModelDto, ModelRevisionDto } from './models.dto.ts';

interface ModelRow {
  readonly id: number;
  readonly name: string;
  readonly family: string;
  readonly purpose: string;
  readonly version: number;
  readonly ranges: unknown;
}
interface RevisionRow {
  readonly model_id: number;
  readonly number: number;
  readonly note: string;
  readonly made_by: string;
  readonly made_at: Date;
  readonly spec: unknown;
  readonly summary: unknown;
}

/** Most models that are listed, and revisions of one. */
const MOST = 500;

const detail = (m: ModelRow, newest: RevisionRow): Model => ({
  id: m.id,
  name: m.name,
  family: m.family,
  purpose: m.purpose,
  version: m.version,
  revision: newest.number,
  note: newest.note,
  ranges: m.ranges ? readJson<SellerRanges>(m.ranges) : {},
  spec: parseSpec(readJson(newest.spec)),
  summary: readJson<OrderSummary>(newest.summary),
});

/** Standard models: saved specs with revisions, what a seller may change, and their files. */
@Injectable()
export class ModelsService {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Figures) private readonly figures: Figures,
  ) {}

  async list(): Promise<Model[]> {
    const models = (await this.db('models').orderBy('name').limit(MOST)) as ModelRow[];
    const revisions = (await this.db('model_revisions')
      .whereIn(['model_id', 'number'], this.db('model_revisions').groupBy('model_id').select('model_id').max('number'))
      .limit(MOST)) as RevisionRow[];
    const newest = new Map(revisions.map((r) => [r.model_id, r]));
    return models.flatMap((m) => {
      const revision = newest.get(m.id);
      return revision ? [detail(m, revision)] : [];
    });
  }

  async find(id: number, db: Db = this.db): Promise<ModelDetail> {
    const m = (await db('models').where({ id }).first()) as ModelRow | undefined;
    const rows = (await db('model_revisions')
      .where({ model_id: id })
      .orderBy('number', 'desc')
      .limit(MOST)) as RevisionRow[];
    rows.reverse();
    const newest = rows.at(-1);
    if (!m || !newest) throw new NotFoundException({ code: 'not-found', message: 'There is no such model.' });
    return {
      ...detail(m, newest),
      revisions: rows.map((r) => ({
        number: r.number,
        note: r.note,
        madeBy: r.made_by,
        madeAt: new Date(r.made_at).toISOString(),
        spec: parseSpec(readJson(r.spec)),
        summary: readJson<OrderSummary>(r.summary),
      })),
    };
  }

  async create(body: ModelDto, me: User, ranges: SellerRanges = {}): Promise<ModelDetail> {
    const spec = parseSpec(body.spec);
    await this.freeName(body.name);
    const { summary } = await this.figures.of({ input: { spec }, rules: await this.settings.rules() });
    return transact(this.db, async (trx) => {
      const [id] = (await trx('models').insert({
        name: body.name,
        family: spec.family,
        purpose: body.purpose ?? '',
        ranges: JSON.stringify(ranges),
      })) as [number];
      await trx('model_revisions').insert({
        model_id: id,
        number: 1,
        spec: JSON.stringify(spec),
        summary: JSON.stringify(summary),
        note: body.note ?? 'first',
        made_by: me.name,
      });
      await noteDeed(trx, me, { action: 'create', entity: 'model', id, detail: body });
      return this.find(id, trx);
    });
  }

  /** Changes a model's name, purpose, or what a seller may change of it. */
  async change(id: number, body: ModelChangeDto, me: User): Promise<ModelDetail> {
    const model = await this.find(id);
    if (body.name !== undefined && body.name !== model.name) await this.freeName(body.name);
    const ranges = body.ranges === undefined ? undefined : readRanges(model.family, body.ranges);
    return transact(this.db, async (trx) => {
      await updateVersioned(trx, 'models', id, body.version, {
        ...(body.name === undefined ? {} : { name: body.name }),
        ...(body.purpose === undefined ? {} : { purpose: body.purpose }),
        ...(ranges === undefined ? {} : { ranges: JSON.stringify(ranges) }),
      });
      await noteDeed(trx, me, { action: 'change', entity: 'model', id, detail: body });
      return this.find(id, trx);
    });
  }

  /** Saves a spec as the next revision. Orders keep the revision that they were made from. */
  async revise(id: number, body: ModelRevisionDto, me: User): Promise<ModelDetail> {
    const model = await this.find(id);
    const spec = parseSpec(body.spec);
    if (spec.family !== model.family)
      throw new ConflictException({
        code: 'other-family',
        message: `${model.name} is a ${model.family}, this is a ${spec.family}: save it as a model of its own.`,
      });
    const { summary } = await this.figures.of({ input: { spec }, rules: await this.settings.rules() });
    return transact(this.db, async (trx) => {
      await updateVersioned(trx, 'models', id, body.version, {});
      const last = await trx('model_revisions').where({ model_id: id }).max<{ n: number | null }[]>({ n: 'number' });
      const number = (last[0]?.n ?? 0) + 1;
      await trx('model_revisions').insert({
        model_id: id,
        number,
        spec: JSON.stringify(spec),
        summary: JSON.stringify(summary),
        note: body.note,
        made_by: me.name,
      });
      await noteDeed(trx, me, { action: 'revise', entity: 'model', id, detail: { number, spec } });
      return this.find(id, trx);
    });
  }

  async file(id: number): Promise<ModelFile> {
    const { name, purpose, spec, ranges, revisions } = await this.find(id);
    return writeModelFile({ name, purpose, spec, ranges, notes: revisions.map((r) => r.note) });
  }

  /** Takes a model file in as a new model; a file that is wrong or newer is refused whole. */
  async take(json: unknown, me: User): Promise<ModelDetail> {
    const file = parseModelFile(json);
    return this.create(
      { name: file.name, purpose: file.purpose, spec: { ...file.spec }, note: file.notes.at(-1) ?? 'from a file' },
      me,
      file.ranges,
    );
  }

  private async freeName(name: string): Promise<void> {
    if (await this.db('models').where({ name }).first())
      throw new ConflictException({
        code: 'name-taken',
        message: `There is a model called ${name} already: give this one another name.`,
      });
  }
}
